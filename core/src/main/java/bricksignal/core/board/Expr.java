package bricksignal.core.board;

import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;

/** A guard or a quantity in a pack: arithmetic, comparison and logic over named values. */
public sealed interface Expr {

    /** Always true. */
    Expr TRUE = new Number(1);

    double value(Env env);

    /** Seconds until a comparison inside could change because a value moves; infinite where nothing moves. */
    double horizon(Env env);

    /** Adds every name that occurs. */
    void collectNames(Set<String> names);

    default boolean holds(Env env) {
        return value(env) != 0;
    }

    /** The names that occur, in order. */
    default Set<String> names() {
        Set<String> names = new LinkedHashSet<>();
        collectNames(names);
        return names;
    }

    /** A constant. */
    record Number(double number) implements Expr {
        @Override
        public double value(Env env) {
            return number;
        }

        @Override
        public double horizon(Env env) {
            return Double.POSITIVE_INFINITY;
        }

        @Override
        public void collectNames(Set<String> names) {
            // a number has no name in it
        }
    }

    /** What kind of thing a name means, by what stands before its first dot. */
    enum Kind { IN, OUT, STATE, AMPS, VOLTS, ACTION, POWERED, CLOSED, PLAIN }

    /**
     * A named value: input, output, state, action, process quantity, parameter, setting, counter.
     *
     * @param name whole
     * @param kind what it means
     * @param of whose value it is: the input, the region, the element; the whole name where that has no kind
     * @param state that a region is asked for; empty for anything else
     */
    record Name(String name, Kind kind, String of, String state) implements Expr {

        private static final Map<String, Kind> KINDS = Map.of("in", Kind.IN, "out", Kind.OUT, "state", Kind.STATE, "amps", Kind.AMPS, "volts", Kind.VOLTS,
                "action", Kind.ACTION, "powered", Kind.POWERED, "closed", Kind.CLOSED);

        /** The name as it is written. */
        public static Name of(String name) {
            int dot = name.indexOf('.');
            Kind kind = dot < 0 ? Kind.PLAIN : KINDS.getOrDefault(name.substring(0, dot), Kind.PLAIN);
            String of = kind == Kind.PLAIN ? name : name.substring(dot + 1);
            int next = kind == Kind.STATE ? of.indexOf('.') : -1;
            return next < 0 ? new Name(name, kind, of, "") : new Name(name, kind, of.substring(0, next), of.substring(next + 1));
        }

        @Override
        public double value(Env env) {
            return env.value(this);
        }

        @Override
        public double horizon(Env env) {
            return Double.POSITIVE_INFINITY;
        }

        @Override
        public void collectNames(Set<String> names) {
            names.add(name);
        }
    }

    /** Negation. */
    record Not(Expr inner) implements Expr {
        @Override
        public double value(Env env) {
            return inner.holds(env) ? 0 : 1;
        }

        @Override
        public double horizon(Env env) {
            return inner.horizon(env);
        }

        @Override
        public void collectNames(Set<String> names) {
            inner.collectNames(names);
        }
    }

    /** How far past a level a value must lie before every comparison with it has changed its answer, in its unit. */
    static double past(double level) {
        return 2 * Operator.rounding(level);
    }

    /** Two operands. Comparisons allow for rounding: equal within one part in a billion counts as reached. */
    record Binary(Operator operator, Expr left, Expr right) implements Expr {
        @Override
        public double value(Env env) {
            return operator.apply(left.value(env), right.value(env));
        }

        @Override
        public double horizon(Env env) {
            double inner = Math.min(left.horizon(env), right.horizon(env));
            if (!operator.compares()) {
                return inner;
            }
            if (left instanceof Name name) {
                return Math.min(inner, env.secondsUntil(name, right.value(env)));
            }
            return right instanceof Name name ? Math.min(inner, env.secondsUntil(name, left.value(env))) : inner;
        }

        @Override
        public void collectNames(Set<String> names) {
            left.collectNames(names);
            right.collectNames(names);
        }
    }

    /** The operators, loosest first. */
    enum Operator {
        OR("or", 0),
        AND("and", 1),
        AT_LEAST(">=", 2),
        AT_MOST("<=", 2),
        ABOVE(">", 2),
        BELOW("<", 2),
        PLUS("+", 3),
        MINUS("-", 3),
        TIMES("*", 4),
        OVER("/", 4);

        private static final double ROUNDING = 1e-9;

        private final String sign;
        private final int rank;

        Operator(String sign, int rank) {
            this.sign = sign;
            this.rank = rank;
        }

        String sign() {
            return sign;
        }

        int rank() {
            return rank;
        }

        boolean compares() {
            return rank == 2;
        }

        double apply(double a, double b) {
            return switch (this) {
                case OR -> truth(a != 0 || b != 0);
                case AND -> truth(a != 0 && b != 0);
                case AT_LEAST -> truth(reaches(a, b));
                case AT_MOST -> truth(reaches(b, a));
                case ABOVE -> truth(!reaches(b, a));
                case BELOW -> truth(!reaches(a, b));
                case PLUS -> a + b;
                case MINUS -> a - b;
                case TIMES -> a * b;
                case OVER -> a / b;
            };
        }

        /** How far from a level counts as reached, in its unit. */
        static double rounding(double level) {
            return ROUNDING * (1 + Math.abs(level));
        }

        private static boolean reaches(double a, double b) {
            return a >= b - rounding(b);
        }

        private static double truth(boolean truth) {
            return truth ? 1 : 0;
        }
    }
}
