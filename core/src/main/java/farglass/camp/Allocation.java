package farglass.camp;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Minutes of training shared out among skills: m_i minutes bring worth_i g_i / 0.1 (1 - exp(-m_i / t_i)) of win chance.
 * In whole rounds, one after the other to whatever gains most by it, which is exactly optimal because every gain is
 * concave and stands by itself (a separable concave resource problem; Gross 1956).
 *
 * @param shares in the order of the wants
 * @param roundMinutes length of a round
 * @param unmet rounds of the least minutes that the budget did not reach
 * @param bound what minutes shared without regard to rounds would bring, which no allocation in rounds can exceed
 */
public record Allocation(List<Share> shares, int roundMinutes, int unmet, double bound) {
    private static final double TENTH = 0.1;
    private static final int HALVINGS = 200;

    public Allocation {
        shares = List.copyOf(shares);
    }

    /** A skill with what it is worth and what is set for it. */
    public record Want(String skill, double worth, SkillSetting setting) {
        /** Win chance that so many minutes bring. */
        public double after(double minutes) {
            return most() * (1 - Math.exp(-minutes / setting.scaleMinutes()));
        }

        private double most() {
            return setting.left() ? 0 : Math.max(0, worth) * setting.gain() / TENTH;
        }
    }

    /**
     * @param worth win chance that the rounds bring
     * @param next what one more round would bring
     */
    public record Share(Want want, int rounds, double worth, double next) {}

    /**
     * @param rounds to share out, not negative
     * @param roundMinutes positive
     */
    public static Allocation of(List<Want> wants, int rounds, int roundMinutes) {
        int[] given = new int[wants.size()];
        int left = least(wants, given, rounds, roundMinutes);
        int unmet = Math.max(0, -left);
        for (int r = 0; r < left; r++) {
            int best = -1;
            double most = 0;
            for (int i = 0; i < given.length; i++) {
                double gain = next(wants.get(i), given[i], roundMinutes);
                if (gain > most) {
                    most = gain;
                    best = i;
                }
            }
            if (best < 0) {
                break;
            }
            given[best]++;
        }
        List<Share> shares = new ArrayList<>();
        for (int i = 0; i < given.length; i++) {
            Want w = wants.get(i);
            shares.add(new Share(w, given[i], w.after(given[i] * roundMinutes), next(w, given[i], roundMinutes)));
        }
        return new Allocation(shares, roundMinutes, unmet, bound(wants, rounds * roundMinutes));
    }

    private static double next(Want w, int rounds, int roundMinutes) {
        return w.after((rounds + 1) * roundMinutes) - w.after(rounds * roundMinutes);
    }

    /**
     * Gives the least minutes, the most valuable skills first; what is left of the rounds, negative when they did not
     * suffice.
     */
    private static int least(List<Want> wants, int[] given, int rounds, int roundMinutes) {
        Integer[] order = new Integer[wants.size()];
        Arrays.setAll(order, i -> i);
        Arrays.sort(
                order,
                (a, b) -> Double.compare(wants.get(b).worth(), wants.get(a).worth()));
        int left = rounds;
        for (int i : order) {
            SkillSetting s = wants.get(i).setting();
            int need = s.left() ? 0 : (s.leastMinutes() + roundMinutes - 1) / roundMinutes;
            given[i] = Math.max(0, Math.min(need, left));
            left -= need;
        }
        return left;
    }

    /**
     * Water-filling: every skill gets minutes until one more brings as much everywhere, or its least (Boyd and
     * Vandenberghe, Convex Optimization, example 5.2).
     */
    private static double bound(List<Want> wants, double minutes) {
        double low = 0;
        double high = 0;
        for (Want w : wants) {
            high = Math.max(high, w.most() / w.setting().scaleMinutes());
        }
        for (int i = 0; i < HALVINGS; i++) {
            double price = (low + high) / 2;
            double used = 0;
            for (Want w : wants) {
                used += filled(w, price);
            }
            if (used > minutes) {
                low = price;
            } else {
                high = price;
            }
        }
        double sum = 0;
        for (Want w : wants) {
            sum += w.after(filled(w, high));
        }
        return sum;
    }

    private static double filled(Want w, double price) {
        double t = w.setting().scaleMinutes();
        double most = w.most();
        double free = most <= 0 || price <= 0 ? (most <= 0 ? 0 : Double.MAX_VALUE) : t * Math.log(most / (t * price));
        return Math.max(w.setting().left() ? 0 : w.setting().leastMinutes(), free);
    }

    /** All rounds that were shared out. */
    public int rounds() {
        return shares.stream().mapToInt(Share::rounds).sum();
    }

    /** Win chance that all rounds bring together, as far as gains add up. */
    public double worth() {
        return shares.stream().mapToDouble(Share::worth).sum();
    }
}
