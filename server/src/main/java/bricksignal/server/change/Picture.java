package bricksignal.server.change;

import bricksignal.server.problem.BadInput;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;

/**
 * A photograph drawn anew: small enough to be kept, and with nothing in it but what is seen.
 *
 * @param jpeg the picture
 */
record Picture(int width, int height, byte[] jpeg) {

    private static final int LONGEST_SIDE = 1400;
    /** A picture of more is refused before it is unpacked: 40 megapixels, beyond any telephone's usual setting. */
    private static final long MOST_PIXELS = 40_000_000;
    private static final float QUALITY = 0.75f;

    /**
     * Reads a JPEG or a PNG.
     *
     * @throws BadInput if it is none, or unpacks to more than anybody photographs
     */
    static Picture of(byte[] file) {
        BufferedImage image = read(file);
        double scale = Math.min(1, (double) LONGEST_SIDE / Math.max(image.getWidth(), image.getHeight()));
        int width = Math.max(1, (int) Math.round(scale * image.getWidth()));
        int height = Math.max(1, (int) Math.round(scale * image.getHeight()));
        BufferedImage drawn = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = drawn.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        pen.drawImage(image, 0, 0, width, height, null);
        pen.dispose();
        return new Picture(width, height, written(drawn));
    }

    private static BufferedImage read(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new BadInput("photo", "This file is no photograph that can be read. Send a JPEG or a PNG.");
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
                if (pixels > MOST_PIXELS) {
                    throw new BadInput("photo", "This photograph unpacks to " + pixels / 1_000_000 + " megapixels; at most " + MOST_PIXELS / 1_000_000
                            + " are read. Send a smaller one.");
                }
                return reader.read(0);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof BadInput bad) {
                throw bad;
            }
            throw new BadInput("photo", "This photograph is broken and cannot be read. Take it again.");
        }
    }

    private static byte[] written(BufferedImage image) {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream to = new ByteArrayOutputStream();
        try (var out = ImageIO.createImageOutputStream(to)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(QUALITY);
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, null), how);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return to.toByteArray();
    }
}
