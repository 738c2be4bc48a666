package bricksignal.e2e;

import bricksignal.core.lamp.LampPattern;
import bricksignal.core.lamp.LampShow;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** A film of a lamp for Chromium's fake camera: 160 by 120, a lamp in the middle of a dim room, uncompressed (YUV4MPEG2). */
final class LampFilm {

    private static final int WIDTH = 160;
    private static final int HEIGHT = 120;
    /** Pictures a second: each length of a lamp is a whole number of them. */
    static final int RATE = 20;
    /** The shortest that a lamp of ours is lit, seconds (LampPart: heartbeat). */
    static final double SHORTEST_FLASH = 0.15;

    private static final int ROOM = 50;
    private static final int LAMP = 210;
    private static final int RADIUS = 7;

    private LampFilm() {
    }

    /** Writes so many whole rounds of a pattern, so that the film can be shown again and again. */
    static Path write(Path file, String text, int rounds) throws IOException {
        LampPattern pattern = LampPattern.parse(text);
        double seconds = rounds * pattern.roundSeconds();
        try (OutputStream out = Files.newOutputStream(file)) {
            out.write(("YUV4MPEG2 W" + WIDTH + " H" + HEIGHT + " F" + RATE + ":1 Ip A1:1 C420jpeg\n")
                    .getBytes(StandardCharsets.US_ASCII));
            for (int i = 0; i < Math.round(seconds * RATE); i++) {
                out.write("FRAME\n".getBytes(StandardCharsets.US_ASCII));
                out.write(frame(!LampShow.at(pattern, i / (double) RATE).isEmpty()));
            }
        }
        return file;
    }

    private static byte[] frame(boolean lit) {
        byte[] planes = new byte[WIDTH * HEIGHT * 3 / 2];
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                double away = Math.hypot(x - WIDTH / 2.0, y - HEIGHT / 2.0);
                planes[y * WIDTH + x] = (byte) (lit && away < RADIUS ? LAMP : ROOM);
            }
        }
        java.util.Arrays.fill(planes, WIDTH * HEIGHT, planes.length, (byte) 128);
        return planes;
    }
}
