package bricksignal.e2e;

import bricksignal.server.Client;
import bricksignal.server.Cluster;
import bricksignal.server.RunningServer;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** {@code bin/bench page}: from asking for the work page to its proposed test on the screen, with an empty cache. */
public final class PagePaint {

    private static final int RUNS = 9;

    private PagePaint() {
    }

    public static void main(String[] args) throws Exception {
        try (Cluster cluster = Cluster.create(); RunningServer.Instance server = RunningServer.Instance.on(cluster)) {
            Client ines = server.logIn("ines");
            String visit = ines.job("bench");
            ines.add(visit, Client.entry("PATTERN", "pattern", "7 flashes"));
            List<Double> times = new ArrayList<>();
            double scripts = 0;
            for (int i = 0; i < RUNS; i++) {
                try (Browser browser = new Browser(server.url(), 1280, 800)) {
                    browser.logIn("ines");
                    browser.driver().executeCdpCommand("Network.clearBrowserCache", java.util.Map.of());
                    long start = System.nanoTime();
                    browser.go("/visits/" + visit + "/work");
                    browser.see("[data-test=next]");
                    times.add((System.nanoTime() - start) / 1e6);
                    scripts = ((Number) browser.driver().executeScript("return performance.getEntriesByType('resource').filter(r => r.name.endsWith('.js')).reduce((sum, r) => sum + r.encodedBodySize, 0)"))
                            .doubleValue();
                }
            }
            Collections.sort(times);
            double median = times.get(RUNS / 2);
            System.out.printf("page to first useful paint, empty cache, loopback: median %.0f ms, worst %.0f ms of %d; scripts %.0f kB as sent%n",
                    median, times.get(RUNS - 1), RUNS, scripts / 1e3);
            for (int i = 0; i + 1 < args.length; i++) {
                if (args[i].equals("--json")) {
                    java.nio.file.Files.writeString(java.nio.file.Path.of(args[i + 1]), "{\"pageMedianMs\": "
                            + Math.round(median) + ", \"pageWorstMs\": " + Math.round(times.get(RUNS - 1)) + ", \"scriptBytes\": " + Math.round(scripts) + "}\n");
                }
            }
        }
        System.exit(0);
    }
}
