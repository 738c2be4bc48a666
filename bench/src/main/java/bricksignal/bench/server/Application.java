package bricksignal.bench.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The application with a database of its own, started and watched over by {@code bin/start}. */
final class Application implements AutoCloseable {

    private static final int START_SECONDS = 240;

    private final int port;
    private final Path data;
    private final Process start;
    private final double readySeconds;

    private Application(int port, Path data, Process start, double readySeconds) {
        this.port = port;
        this.data = data;
        this.start = start;
        this.readySeconds = readySeconds;
    }

    /** Starts it with fresh demo data and waits until it is ready. */
    static Application start() {
        try {
            Path data = Files.createTempDirectory(Files.createDirectories(Path.of(".run")), "bench").toAbsolutePath();
            int port = freePort();
            long began = System.nanoTime();
            Process start = new ProcessBuilder("bin/start", "--port", String.valueOf(port), "--data", data.toString())
                    .redirectOutput(data.resolve("out").toFile()).redirectError(data.resolve("err").toFile()).start();
            Application application = new Application(port, data, start, 0);
            application.waitUntilReady(START_SECONDS);
            return new Application(port, data, start, (System.nanoTime() - began) / 1e9);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    String url() {
        return "http://127.0.0.1:" + port;
    }

    /** From the command to ready, seconds. */
    double readySeconds() {
        return readySeconds;
    }

    /** Waits for the application's own word that it is ready. */
    void waitUntilReady(int seconds) {
        long until = System.nanoTime() + seconds * 1_000_000_000L;
        while (System.nanoTime() < until) {
            if (!start.isAlive()) {
                throw new IllegalStateException("bin/start ended; see " + data.resolve("err"));
            }
            if (Person.healthy(url())) {
                return;
            }
            sleep(100);
        }
        throw new IllegalStateException("not ready after " + seconds + " s; see " + data.resolve("err"));
    }

    /** Process ids whose command line holds a text, of processes below {@code bin/start} or of its database. */
    List<Long> processes(String holds) {
        return ProcessHandle.allProcesses().filter(p -> {
            try {
                return Files.readString(Path.of("/proc/" + p.pid() + "/cmdline")).replace('\0', ' ').contains(holds);
            } catch (IOException gone) {
                return false;
            }
        }).map(ProcessHandle::pid).toList();
    }

    /** The application's own process. */
    List<Long> java() {
        return start.descendants().filter(p -> p.info().command().orElse("").endsWith("java")).map(ProcessHandle::pid).toList();
    }

    /** The postmaster: the first line of its pid file. */
    List<Long> postmaster() {
        try {
            Process find = new ProcessBuilder("bash", "-c", "printf '%s' \"$(cd '" + data + "' && pwd)\" | sha256sum | cut -c1-16")
                    .start();
            String digest = new String(find.getInputStream().readAllBytes()).strip();
            Path pid = Path.of("/var/tmp/brick-signal-" + digest, "data", "postmaster.pid");
            Path own = data.resolve("data").resolve("postmaster.pid");
            return List.of(Long.parseLong(Files.readAllLines(Files.exists(pid) ? pid : own).get(0).strip()));
        } catch (IOException | NumberFormatException gone) {
            return List.of();
        }
    }

    /** Memory in use by the application's process, megabytes. */
    double residentMb() {
        try {
            for (String line : Files.readAllLines(Path.of("/proc/" + java().get(0) + "/status"))) {
                if (line.startsWith("VmRSS:")) {
                    return Double.parseDouble(line.replaceAll("[^0-9]", "")) / 1024;
                }
            }
        } catch (IOException | IndexOutOfBoundsException gone) {
            // told as not a number
        }
        return Double.NaN;
    }

    /** Says something to its database by psql. */
    void sql(String command) {
        try {
            Process psql = new ProcessBuilder("bash", "-c", "mapfile -t cluster < <(bin/cluster start '" + data + "'); "
                    + "PGPASSWORD=${cluster[1]} psql -q -v ON_ERROR_STOP=1 -U brick -c \"$0\" \"${cluster[0]#jdbc:}\"", command).inheritIO().start();
            if (psql.waitFor() != 0) {
                throw new IllegalStateException("psql refused: " + command);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    boolean alive() {
        return Person.healthy(url());
    }

    @Override
    public void close() {
        start.destroy();
        try {
            if (!start.waitFor(60, TimeUnit.SECONDS)) {
                start.destroyForcibly();
            }
            new ProcessBuilder("bin/cluster", "drop", data.toString()).inheritIO().start().waitFor(60, TimeUnit.SECONDS);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    static void sleep(long ms) {
        try {
            Thread.sleep(ms);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
