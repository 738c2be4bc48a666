package bricksignal.server.overlay;

import bricksignal.core.unit.CallAdvice;
import bricksignal.core.unit.UnitModel;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * An overlay as the editor sends it: the same shape as its YAML.
 *
 * @param overlay its name
 * @param family the pack it lies over
 * @param choices what was chosen of the family, option by choice
 * @param charts by board: generations of its chart
 * @param timings seconds by parameter
 * @param labels by point
 * @param colours conductor colours by point
 * @param fuses amperes by element
 * @param nominals by element
 * @param call in which order it takes power and call
 * @param settings by setting
 * @param limits after a repair, by limit of the family
 * @param handling what to know of a part with it in hand, by part
 * @param menu the screens of this board, as its text has them
 */
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record OverlayDraft(String overlay, String family, String title, @Nullable Map<String, String> choices, @Nullable Map<String, List<Generation>> charts,
        @Nullable Map<String, Double> timings, @Nullable Map<String, String> labels, @Nullable Map<String, String> colours,
        @Nullable Map<String, Double> fuses, @Nullable Map<String, Nominal> nominals,
        @Nullable CallOrder call, @Nullable Map<String, Setting> settings, @Nullable Map<String, Limit> limits,
        @Nullable Map<String, List<String>> handling, @Nullable Map<String, DraftScreen> menu) {

    /** The order, and why it is so. */
    public record CallOrder(CallAdvice.Order order, String why) {
    }

    /** A chart as it hangs on one generation of the board. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Generation(String generation, @Nullable Double weight, List<Code> codes) {
    }

    /** A line of a chart: a condition out of the vocabulary, or the chart's own words. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Code(String pattern, @Nullable String condition, @Nullable String text) {
    }

    /** A value of an element, with its relative tolerance. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Nominal(double value, @Nullable Double tolerance) {
    }

    /** A switch bank as this board has it. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Setting(@Nullable String label, String factory, @Nullable Map<String, Double> options, UnitModel.@Nullable Range range) {
    }

    /** What a reading must keep after a repair. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Limit(@Nullable Double least, @Nullable Double most) {
    }

    /** A screen of the board's menu. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record DraftScreen(String shows, @Nullable List<DraftWay> ways, @Nullable String sets, @Nullable String up, @Nullable String down, @Nullable Boolean round) {
    }

    /** What is pressed on a screen, and where it leads. */
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record DraftWay(String press, String to, @Nullable Boolean saves) {
    }
}
