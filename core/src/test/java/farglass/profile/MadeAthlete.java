package farglass.profile;

import static farglass.match.Records.named;

import farglass.match.Corner;
import farglass.match.MatchRecord;
import farglass.match.Outcome;
import farglass.match.Side;
import farglass.match.Tag;
import farglass.match.TagInfo;
import farglass.time.MatchTime;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.AhrensDieterMarsagliaTsangGammaSampler;

/**
 * An athlete whose truth is known: knee cuts at a rate per minute on top of a guard, each working with a chance that
 * varies from match to match, while the place itself ends by one of three exponential clocks.
 */
record MadeAthlete(String id, double success, double perMinute, double right) {
    static final double MEAN_STAY_S = 40;
    static final double PASSED = 0.30;
    static final double SWEPT = 0.45;
    private static final double RHO = 0.10;
    private static final long LENGTH_MS = 480_000;

    /** Chance that a stay has ended by a cause of this share within some seconds. */
    static double within(double share, double seconds) {
        return share * (1 - Math.exp(-seconds / MEAN_STAY_S));
    }

    MatchRecord match(int number, UniformRandomProvider rng) {
        double k = 1 / RHO - 1;
        double a =
                AhrensDieterMarsagliaTsangGammaSampler.of(rng, success * k, 1).sample();
        double b = AhrensDieterMarsagliaTsangGammaSampler.of(rng, (1 - success) * k, 1)
                .sample();
        double today = a / (a + b);
        List<Tag> tags = new ArrayList<>(List.of(new Tag.Start(MatchTime.ZERO, TagInfo.NONE)));
        long t = 0;
        while (t < LENGTH_MS) {
            tags.add(Tag.Position.of(MatchTime.ofMs(t), "STD", null, null));
            t += 8000;
            t = onTop(tags, t, today, rng);
        }
        tags.removeIf(x -> x.t().ms() >= LENGTH_MS);
        tags.add(new Tag.End(MatchTime.ofMs(LENGTH_MS), TagInfo.NONE));
        LocalDate date = LocalDate.of(2030, 1, 1).plusDays(number);
        return named(id + "-" + number, date, id, "met-" + id + "-" + number, tags.toArray(new Tag[0]));
    }

    private long onTop(List<Tag> tags, long from, double today, UniformRandomProvider rng) {
        tags.add(Tag.Position.of(MatchTime.ofMs(from), "CLG", Corner.A, Corner.B));
        long until = from + 1 + (long) (-Math.log(1 - rng.nextDouble()) * MEAN_STAY_S * 1000);
        long t = from;
        while (true) {
            t += (long) (-Math.log(1 - rng.nextDouble()) / perMinute * 60_000);
            if (t >= until) {
                break;
            }
            boolean works = rng.nextDouble() < today;
            tags.add(Tag.Action.of(MatchTime.ofMs(t), Corner.A, "knee-cut")
                    .sided(rng.nextDouble() < right ? Side.RIGHT : Side.LEFT)
                    .result(works ? Outcome.COMPLETED : Outcome.STUFFED, works ? 4 : 1, null, null));
        }
        double end = rng.nextDouble();
        if (end < PASSED + SWEPT) {
            Corner ahead = end < PASSED ? Corner.A : Corner.B;
            tags.add(Tag.Position.of(MatchTime.ofMs(until), "SDC", ahead, null));
            return until + 12_000;
        }
        return until;
    }
}
