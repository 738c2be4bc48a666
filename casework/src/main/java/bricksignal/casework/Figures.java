package bricksignal.casework;

import bricksignal.casework.entry.Entry;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The figures that a person put in place of the company's, each with its reason. */
public final class Figures {

    /** What the name of a price begins with; a part follows. */
    public static final String PRICE = "price.";
    public static final String COUNTER_HOURS = "counter-hours";
    public static final String TRIP_HOURS = "trip-hours";
    public static final String UNIT_PRICE = "unit-price";
    static final List<String> NAMES = List.of(COUNTER_HOURS, TRIP_HOURS, UNIT_PRICE);

    private final List<Entry.Figure> all;

    private Figures(List<Entry.Figure> all) {
        this.all = all;
    }

    /** Those of a case. */
    public static Figures of(Case now) {
        return new Figures(now.lines().stream().filter(Line::counts).map(line -> line.filed().entry() instanceof Entry.Figure figure ? figure : null)
                .filter(Objects::nonNull).toList());
    }

    private Optional<Entry.Figure> last(String what) {
        return all.stream().filter(figure -> figure.what().equals(what)).reduce((first, second) -> second);
    }

    private double or(String what, double usual) {
        return last(what).map(Entry.Figure::value).orElse(usual);
    }

    /** Why a figure was put there; null where nobody did. */
    public @Nullable String reason(String what) {
        return last(what).map(Entry.Figure::reason).orElse(null);
    }

    /** The price of a part. */
    public double price(String part, double usual) {
        return or(PRICE + part, usual);
    }

    public double counterHours(double usual) {
        return or(COUNTER_HOURS, usual);
    }

    public double tripHours(double usual) {
        return or(TRIP_HOURS, usual);
    }

    public double unitPrice(double usual) {
        return or(UNIT_PRICE, usual);
    }
}
