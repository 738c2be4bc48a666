package bricksignal.server.site;

import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What stands on a unit's nameplate, as somebody typed it; null where nobody did.
 *
 * @param rating input or capacity with its unit
 * @param charge of refrigerant, with its unit
 * @param altitudeFt height of the place above sea level, feet
 */
@Embeddable
public record Nameplate(@Column(name = "plate_maker") @Nullable String maker, @Column(name = "plate_model") @Nullable String model, @Column(name = "plate_serial") @Nullable String serial,
        @Column(name = "plate_rating") @Nullable String rating, @Column(name = "plate_refrigerant") @Nullable String refrigerant, @Column(name = "plate_charge") @Nullable String charge,
        @Column(name = "plate_gas") @Enumerated(EnumType.STRING) @Nullable Gas gas, @Column(name = "plate_altitude") @Nullable Double altitudeFt) {

    /** Nothing was typed yet. */
    static final Nameplate UNREAD = new Nameplate(null, null, null, null, null, null, null, null);

    /** What burns in it. */
    public enum Gas {
        NATURAL, PROPANE
    }

    /** All of it in a line; nothing where nothing was typed. */
    public Message says() {
        List<Message> says = new ArrayList<>();
        said(says, "maker", maker);
        said(says, "model", model);
        said(says, "serial", serial);
        said(says, "rating", rating);
        if (gas != null) {
            says.add(Message.of("plate.gas." + gas));
        }
        said(says, "refrigerant", Stream.of(refrigerant, charge).filter(text -> text != null).reduce((one, other) -> one + " " + other).orElse(null));
        if (altitudeFt != null) {
            says.add(Message.of("plate.altitude", new Message.Worked(TradeUnit.FEET, altitudeFt, 0)));
        }
        return says.isEmpty() ? Message.NOTHING : Message.items(Message.Joint.COMMA, says);
    }

    private static void said(List<Message> says, String what, @Nullable String text) {
        if (text != null) {
            says.add(Message.of("plate." + what, Message.said(text)));
        }
    }

    /** As it is noted when it is changed. */
    String text() {
        String all = String.join(", ", Stream.of(maker, model, serial, rating, refrigerant, charge, gas, altitudeFt == null ? null : altitudeFt + " ft").filter(one -> one != null)
                .map(String::valueOf).toList());
        return all.isEmpty() ? "not typed" : all;
    }
}
