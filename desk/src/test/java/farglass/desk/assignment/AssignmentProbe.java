package farglass.desk.assignment;

import farglass.desk.shell.Station;
import java.nio.file.Path;
import java.util.List;

/** Drops files on the assignment station, which no robot can do without a desktop to drag from. */
public record AssignmentProbe(Station station) {
    public void take(List<Path> files) {
        ((AssignmentStation) station).take(files);
    }
}
