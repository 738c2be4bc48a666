package bricksignal.core.tuning;

import java.util.List;
import java.util.Optional;

/** All that can be computed of setting up, in the order in which it is met. */
public final class Calculators {

    private static final List<Calculator> ALL = List.of(new GasClocked(), new TemperatureRise(), new StaticPressure(), new BlowerDelays(), new TwoStage(), new ThermostatPace(),
            new WaterReset(), new WaterFlow(), new ZonesTogether(), new PelletHeat(), new StoveMode(), new HumidityLimit(), new DampLimit(), new FrostInterval(), new ChangeoverLimit(), new EconomizerNow(), new DamperPosition(), new ControlCircuit(), new RunCapacitor(), new PhaseUnbalance());

    private Calculators() {
    }

    public static List<Calculator> all() {
        return ALL;
    }

    /** The calculator of that name. */
    public static Optional<Calculator> of(String id) {
        return ALL.stream().filter(calculator -> calculator.id().equals(id)).findFirst();
    }
}
