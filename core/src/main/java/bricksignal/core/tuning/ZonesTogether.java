package bricksignal.core.tuning;

import java.util.List;

/** Zones on one boiler: what flows when all call, and whether the smallest alone takes what the boiler cannot go below. */
final class ZonesTogether extends Calculator {

    private static final double PERCENT = 100;

    ZonesTogether() {
        super("zones-together", Input.of("all", "Btu/h", 60_000, 1_000, 2_000_000), Input.of("smallest", "Btu/h", 9_000, 500, 1_000_000),
                Input.of("least", "Btu/h", 16_000, 1_000, 1_000_000), Input.of("drop", "°F", 20, 2, 60), Input.maybe("pump", "gpm", 0.5, 200));
    }

    @Override
    Finding find(Given given) {
        double smallest = given.number("smallest");
        if (smallest > given.number("all")) {
            throw new Misfit("smallest", "it takes more than all zones together");
        }
        double together = Heat.gpm(given.number("all"), given.number("drop"));
        double share = smallest / given.number("least");
        boolean cycles = share < 1;
        boolean small = given.maybe("pump").isPresent() && given.maybe("pump").getAsDouble() < together;
        return finding(small ? "pump" : cycles ? "cycles" : "within", !small && !cycles, List.of(result("together", together, "gpm", 1),
                result("alone", Heat.gpm(smallest, given.number("drop")), "gpm", 1), result("share", PERCENT * share, "%", 0)), null,
                small ? together : PERCENT * share);
    }
}
