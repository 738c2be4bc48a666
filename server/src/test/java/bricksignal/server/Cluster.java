package bricksignal.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** A PostgreSQL cluster of the tests' own, by the same command that the application uses. */
public final class Cluster implements AutoCloseable {

    private final Path folder;
    private String url = "";
    private String password = "";

    private Cluster(Path folder) {
        this.folder = folder;
    }

    /** Makes and starts one in a folder of its own below target. */
    public static Cluster create() {
        try {
            Cluster cluster = new Cluster(Files.createTempDirectory(Files.createDirectories(Path.of("target")), "pg")
                    .toAbsolutePath());
            cluster.start();
            return cluster;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public String url() {
        return url;
    }

    public String password() {
        return password;
    }

    /** The folder that holds the project, where bin is. */
    public static Path project() {
        Path here = Path.of("").toAbsolutePath();
        while (here != null && !Files.exists(here.resolve("bin/cluster"))) {
            here = here.getParent();
        }
        if (here == null) {
            throw new IllegalStateException("bin/cluster is not above " + Path.of("").toAbsolutePath());
        }
        return here;
    }

    /** Starts it, on the port it had before if it ran before. */
    public void start() {
        String port = url.isEmpty() ? "" : url.replaceAll(".*:(\\d+)/.*", "$1");
        List<String> said = run("start", port, "--throwaway");
        url = said.get(0);
        password = said.get(1);
    }

    public void stop() {
        run("stop", "");
    }

    @Override
    public void close() {
        run("drop", "");
    }

    private List<String> run(String action, String port, String... more) {
        try {
            List<String> command = new java.util.ArrayList<>(List.of(project().resolve("bin/cluster").toString(), action,
                    folder.toString()));
            command.addAll(List.of(more));
            ProcessBuilder builder = new ProcessBuilder(command);
            builder.redirectError(ProcessBuilder.Redirect.INHERIT);
            if (!port.isEmpty()) {
                builder.environment().put("BRICK_DB_PORT", port);
            }
            Process process = builder.start();
            List<String> lines = new String(process.getInputStream().readAllBytes()).lines().toList();
            if (process.waitFor() != 0) {
                throw new IllegalStateException("bin/cluster " + action + " failed: " + lines);
            }
            return lines;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
