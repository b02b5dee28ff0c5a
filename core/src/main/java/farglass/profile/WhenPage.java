package farglass.profile;

import farglass.match.Role;
import farglass.stats.GammaPrior;
import farglass.stats.Trial;
import farglass.tendency.Evidence;
import farglass.tendency.Filter;
import farglass.tendency.Moment;
import farglass.text.CoreWords;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;

/** What changes with score, clock, attire, role and opponent: attacks per ten minutes, and how often they work. */
final class WhenPage {
    private final ClaimFactory q;

    private WhenPage(ClaimFactory q) {
        this.q = q;
    }

    static ClaimPage of(ClaimFactory q) {
        return new WhenPage(q).page();
    }

    private ClaimPage page() {
        List<Section> sections = new ArrayList<>();
        sections.add(Section.of("when.places", places()));
        Moment now = q.evidence().filter().moment();
        Map<String, Filter> score = new LinkedHashMap<>();
        for (Moment.Standing s : Moment.Standing.values()) {
            score.put(s.name(), filter().moment(now.score(s)));
        }
        sections.add(split("when.score", score));
        Map<String, Filter> clock = new LinkedHashMap<>();
        for (Moment.Part p : Moment.Part.values()) {
            clock.put(p.name(), filter().moment(now.clock(p)));
        }
        sections.add(split("when.clock", clock));
        Map<String, Filter> attire = new LinkedHashMap<>();
        attire.put("gi", filter().attire("gi"));
        attire.put("no-gi", filter().attire("no-gi"));
        sections.add(split("when.attire", attire));
        Map<String, Filter> role = new LinkedHashMap<>();
        for (Role r : List.of(Role.HOLDER, Role.GUARD, Role.UNDER, Role.NEUTRAL)) {
            role.put(r.code(), filter().moment(now.role(r)));
        }
        sections.add(split("when.role", role));
        sections.add(opponents("stance"));
        sections.add(opponents("grade"));
        return new ClaimPage(Question.WHEN, sections);
    }

    private Filter filter() {
        return q.evidence().filter();
    }

    private List<Claim> places() {
        List<Claim> claims = new ArrayList<>();
        for (String group : PositionGroups.PLACES) {
            Claim c = q.share(
                    group,
                    Claim.Topic.PLACE,
                    group,
                    q.words(),
                    (place, role) -> PositionGroups.of(q.lexicon(), place, role).equals(group),
                    (place, role) -> true);
            if (!c.trials().isEmpty()) {
                claims.add(c);
            }
        }
        return claims;
    }

    private Section opponents(String attribute) {
        TreeSet<String> values = new TreeSet<>();
        for (Evidence.Seen s : q.evidence().matches()) {
            Object v = s.record().athlete(s.corner().other()).extra().get(attribute);
            if (v != null) {
                values.add(v.toString());
            }
        }
        Map<String, Filter> splits = new LinkedHashMap<>();
        var all = filter().opponents();
        for (String v : values) {
            splits.put(
                    v,
                    filter().opponents(new farglass.tendency.Opponents(
                            all.ids(),
                            attribute.equals("stance") ? v : all.stance(),
                            attribute.equals("grade") ? v : all.grade(),
                            all.minKg(),
                            all.maxKg())));
        }
        return split("when." + attribute, splits);
    }

    /** Attacks and their success in every part that has film; nothing to compare with fewer than two parts. */
    private Section split(String title, Map<String, Filter> parts) {
        List<Claim> rates = new ArrayList<>();
        List<Claim> success = new ArrayList<>();
        parts.forEach((name, f) -> {
            if (contradicts(f)) {
                return;
            }
            ClaimFactory part = q.under(f);
            List<Trial> attacks = part.evidence().own(a -> PositionGroups.ATTACKS.contains(a.family())).stream()
                    .map(Evidence.Act::trial)
                    .toList();
            String key = name.toLowerCase(Locale.ROOT).replace('_', '-');
            Claim rate = part.rate(
                    title + "." + key + ".pace",
                    Claim.Topic.CONTEXT,
                    title + ".pace",
                    q.words(CoreWords.code(key)),
                    attacks,
                    (p, r) -> true,
                    GammaPrior.jeffreys());
            if (rate != null) {
                rates.add(rate);
            }
            List<Trial> decided =
                    part.evidence().own(a -> PositionGroups.ATTACKS.contains(a.family()) && a.decided()).stream()
                            .map(Evidence.Act::trial)
                            .toList();
            if (decided.size() >= Techniques.ATTEMPTS) {
                success.add(q.plain(
                        title + "." + key + ".works",
                        Claim.Topic.CONTEXT,
                        title + ".works",
                        q.words(CoreWords.code(key)),
                        decided));
            }
        });
        List<Claim> claims = new ArrayList<>();
        if (rates.size() > 1) {
            claims.addAll(rates);
            claims.addAll(success);
        }
        return Section.of(title, claims);
    }

    /** A part of what the filter has already left out. */
    private boolean contradicts(Filter part) {
        Filter f = filter();
        return (f.attire() != null && !f.attire().equals(part.attire()))
                || (f.moment().score() != null
                        && f.moment().score() != part.moment().score())
                || (f.moment().clock() != null
                        && f.moment().clock() != part.moment().clock())
                || (f.moment().role() != null
                        && f.moment().role() != part.moment().role())
                || (f.opponents().stance() != null
                        && !f.opponents().stance().equals(part.opponents().stance()))
                || (f.opponents().grade() != null
                        && !f.opponents().grade().equals(part.opponents().grade()));
    }
}
