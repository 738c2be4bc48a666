package bricksignal.core.unit;

import bricksignal.core.words.Message;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/**
 * A finding that ends the diagnosis until it is put right: what is left to do then, who may say that it is put right, and whether a lead
 * may let the work go on by name. Words: {@code stop.NAME.what}, {@code .now.1} and on, {@code .call}, {@code .never} and {@code .until}. Common
 * practice; figures of carbon monoxide by UL 2034, NIOSH, EPA and ANSI Z21, of refrigerant by ASHRAE 15, all from memory. In the order
 * of danger.
 */
public enum Stop {
    /** Gas smelt at rest, away from the burner, growing, at a tap or a joint; a leak found. */
    GAS_SMELL(Left.NOTHING, Licence.GAS, false, 5),
    /** 35 ppm in the room, an alarm, anyone ill. */
    CO_ROOM(Left.NOTHING, Licence.GAS, false, 4),
    /** Fire in hopper or vent, the glass of the door gone. */
    STOVE_FIRE(Left.NOTHING, Licence.SOLID_FUEL, false, 3),
    /** An instrument over a quarter of the lower flammable limit. */
    REFRIGERANT(Left.NOTHING, Licence.REFRIGERANT, false, 4),
    /** The rollout open with scorch, soot, or flame seen outside. */
    ROLLOUT(Left.GAS_SHUT, Licence.GAS, false, 3),
    /** Flame or an open gas valve without a call. */
    FLAME_WITHOUT_CALL(Left.GAS_SHUT, Licence.GAS, false, 3),
    /** A whiff at the burner in a trial that did not light. */
    GAS_WHIFF(Left.GAS_SHUT, Licence.GAS, false, 3),
    /** Over 400 ppm air-free in the flue, steady after ten minutes. */
    CO_FLUE(Left.GAS_SHUT, Licence.GAS, false, 3),
    /** Spillage, a blocked or broken flue, a cracked exchanger. */
    SPILLAGE(Left.GAS_SHUT, Licence.GAS, false, 3),
    /** Burnt insulation, smoke, a scorched conductor on line voltage. */
    BURNT(Left.POWER_OFF, Licence.ELECTRICAL, false, 2),
    /** Water in the electrics, a unit that was flooded. */
    WATER(Left.POWER_OFF, Licence.ELECTRICAL, true, 2),
    /** A safety that somebody bypassed. */
    BYPASSED_SAFETY(Left.POWER_OFF, Licence.NONE, true, 2);

    /** What may still be done. */
    public enum Left {
        NOTHING,
        /** What lets nothing burn. */
        GAS_SHUT,
        /** What needs no power. */
        POWER_OFF
    }

    /** A qualification that the law or the maker asks for. */
    public enum Licence {
        NONE, GAS, REFRIGERANT, ELECTRICAL, SOLID_FUEL
    }

    private final Left left;
    private final Licence licence;
    private final boolean leadMay;
    private final int steps;

    Stop(Left left, Licence licence, boolean leadMay, int steps) {
        this.left = left;
        this.licence = licence;
        this.leadMay = leadMay;
        this.steps = steps;
    }

    /** How many things are to be done now, in order. */
    public int steps() {
        return steps;
    }

    /** They, in order. */
    public List<Message> now() {
        return IntStream.rangeClosed(1, steps).mapToObj(step -> says("now." + step)).toList();
    }

    public Left left() {
        return left;
    }

    /** Who says that it is put right; a stove that burns solid fuel asks for that licence in the place of the one for gas. */
    public Licence licence(Dangers dangers) {
        return licence == Licence.GAS && !dangers.fuels().contains(Dangers.Fuel.GAS) ? Licence.SOLID_FUEL : licence;
    }

    /** True where a lead may let the work go on by name, with a reason on the record: nothing of gas, carbon monoxide or fire. */
    public boolean leadMay() {
        return leadMay;
    }

    /** True for a unit in which it can happen. */
    public boolean concerns(Dangers dangers) {
        return switch (this) {
            case GAS_SMELL, GAS_WHIFF, ROLLOUT, FLAME_WITHOUT_CALL -> dangers.fuels().contains(Dangers.Fuel.GAS);
            case CO_ROOM -> true;
            case CO_FLUE, SPILLAGE -> dangers.burns();
            case STOVE_FIRE -> dangers.fuels().contains(Dangers.Fuel.SOLID);
            case REFRIGERANT -> dangers.refrigerant().flammable();
            case BURNT, WATER, BYPASSED_SAFETY -> true;
        };
    }

    /** As packs and entries write it. */
    public String text() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Words about it: what it is, what to do now, whom to call, what may not be done, until when. */
    public Message says(String part) {
        return Message.of("stop." + name() + "." + part);
    }
}
