package farglass.desk.profile;

import farglass.profile.Claim;
import farglass.profile.Figure;
import farglass.profile.Report;
import farglass.stats.Difference;

/** A row of a page on screen. */
sealed interface PageRow {
    /** The begin of a section. */
    record Heading(String text) implements PageRow {}

    /** Words in place of what is not there. */
    record Said(String text) implements PageRow {}

    record Drawn(Figure figure) implements PageRow {}

    record One(Claim claim) implements PageRow {}

    /** The same claim of two. */
    record Two(Claim a, Claim b, String nameA, String nameB, Difference difference) implements PageRow {}

    /** A fault of a report. */
    record Faulty(Report.Fault fault) implements PageRow {}

    /** What was done well. */
    record Praised(Report.Praise praise) implements PageRow {}
}
