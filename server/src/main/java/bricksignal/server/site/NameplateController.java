package bricksignal.server.site;

import bricksignal.core.words.Measures;
import bricksignal.core.words.Message;
import bricksignal.core.words.TradeUnit;
import bricksignal.server.problem.BadInput;
import bricksignal.server.words.Words;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.security.Principal;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The nameplate of a unit: photographed first, typed from the picture later. */
@RestController
class NameplateController {

    /** Where people live and work, feet: as the calculators take it. */
    private static final double LOWEST_FT = -1_000;
    private static final double HIGHEST_FT = 12_000;

    private final SiteService service;
    private final Words words;

    NameplateController(SiteService service, Words words) {
        this.service = service;
        this.words = words;
    }

    /**
     * What stands on it.
     *
     * @param altitude of the place, in the unit of the person
     * @param year in which it was put in
     */
    record NameplateInput(@Nullable @Size(max = 80) String maker, @Nullable @Size(max = 80) String model, @Nullable @Size(max = 80) String serial, @Nullable @Size(max = 80) String rating,
            @Nullable @Size(max = 40) String refrigerant, @Nullable @Size(max = 40) String charge, Nameplate.@Nullable Gas gas, @Nullable Double altitude,
            @Nullable @Min(1900) @Max(2200) Integer year) {
    }

    /**
     * What stands on it, and all of it in a line.
     *
     * @param altitudeUnit of the altitude
     */
    record NameplateView(NameplateInput plate, String altitudeUnit, Message says) {
    }

    @GetMapping("/api/units/{id}/nameplate")
    NameplateView nameplate(@PathVariable UUID id) {
        return view(service.unit(id));
    }

    @PostMapping("/api/units/{id}/nameplate")
    NameplateView read(Principal principal, @PathVariable UUID id, @Valid @RequestBody NameplateInput typed) {
        return view(service.read(principal.getName(), id, new Nameplate(text(typed.maker()), text(typed.model()), text(typed.serial()), text(typed.rating()), text(typed.refrigerant()),
                text(typed.charge()), typed.gas(), feet(typed.altitude())), typed.year()));
    }

    private NameplateView view(SiteUnit unit) {
        Nameplate plate = unit.nameplate();
        Measures measures = words.measures();
        Double feet = plate.altitudeFt();
        return new NameplateView(new NameplateInput(plate.maker(), plate.model(), plate.serial(), plate.rating(), plate.refrigerant(), plate.charge(), plate.gas(),
                feet == null ? null : (double) Math.round(TradeUnit.FEET.shown(measures, feet)), unit.installedYear()), TradeUnit.FEET.sign(measures), plate.says());
    }

    private @Nullable Double feet(@Nullable Double typed) {
        if (typed == null) {
            return null;
        }
        double feet = TradeUnit.FEET.taken(words.measures(), typed);
        if (!(feet >= LOWEST_FT && feet <= HIGHEST_FT)) {
            throw new BadInput("altitude", Message.of("problem.altitude", new Message.Worked(TradeUnit.FEET, feet, 0), new Message.Worked(TradeUnit.FEET, LOWEST_FT, 0),
                    new Message.Worked(TradeUnit.FEET, HIGHEST_FT, 0)));
        }
        return feet;
    }

    private static @Nullable String text(@Nullable String typed) {
        return typed == null || typed.isBlank() ? null : typed.trim();
    }
}
