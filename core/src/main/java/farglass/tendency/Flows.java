package farglass.tendency;

import farglass.match.Role;
import farglass.match.Situation;
import farglass.stats.Estimate;
import farglass.stats.Grade;
import farglass.stats.Trial;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where an athlete goes from where, as a chart draws it: places with their share of the time, and flows between them
 * whatever action caused them.
 */
public record Flows(List<Stop> stops, List<Flow> flows) {
    private static final double TEN_MINUTES = 600_000;

    /** A place in a role. */
    public record Stop(String position, Role role, Estimate share) {}

    /**
     * @param perTenMinutes how often in ten minutes of the match
     * @param share of all exits from there
     * @param trials the spans that led there
     */
    public record Flow(
            String from,
            Role role,
            String to,
            Role toRole,
            double perTenMinutes,
            double share,
            Grade grade,
            List<Trial> trials) {}

    private record Ends(Situation from, Situation to) {}

    /** Time in every situation, and what led from one to the next. */
    public static Flows of(Evidence evidence) {
        List<Stop> stops = PositionTimes.of(evidence).stream()
                .map(r -> new Stop(r.position(), r.role(), r.share()))
                .toList();
        double ms = evidence.exposureMs();
        Map<Ends, List<Transitions.Row>> byEnds = new LinkedHashMap<>();
        for (Transitions.Row r : Transitions.of(evidence)) {
            boolean stays = r.from().equals(r.to()) && r.role() == r.toRole();
            if (stays) {
                // out of a lock and back to the place below it
                continue;
            }
            byEnds.computeIfAbsent(
                            new Ends(new Situation(r.from(), r.role()), new Situation(r.to(), r.toRole())),
                            k -> new ArrayList<>())
                    .add(r);
        }
        List<Flow> flows = new ArrayList<>();
        byEnds.values().forEach(rows -> flows.add(flow(rows, ms)));
        flows.sort(Comparator.comparingDouble(Flow::perTenMinutes).reversed());
        return new Flows(stops, flows);
    }

    private static Flow flow(List<Transitions.Row> rows, double ms) {
        Transitions.Row first = rows.get(0);
        List<Trial> trials = new ArrayList<>();
        for (Transitions.Row r : rows) {
            r.trials().stream().filter(Trial::worked).forEach(trials::add);
        }
        double w = trials.stream().mapToDouble(Trial::weight).sum();
        double ww = trials.stream().mapToDouble(t -> t.weight() * t.weight()).sum();
        int matches = (int) trials.stream().map(t -> t.tag().match()).distinct().count();
        return new Flow(
                first.from(),
                first.role(),
                first.to(),
                first.toRole(),
                ms <= 0 ? 0 : trials.size() / ms * TEN_MINUTES,
                rows.stream().mapToDouble(r -> r.estimate().mean()).sum(),
                Grade.of(ww == 0 ? 0 : Math.min(w * w / ww, w), matches, 0),
                trials);
    }
}
