package bricksignal.server.change;

import bricksignal.core.words.Message;
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
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.event.IIOReadProgressListener;
import javax.imageio.stream.ImageInputStream;

/**
 * A photograph drawn anew: small enough to be kept, and with nothing in it but what is seen.
 *
 * @param jpeg the picture
 */
public record Picture(int width, int height, byte[] jpeg) {

    private static final int LONGEST_SIDE = 1400;
    /** A picture of more is refused before it is unpacked: 40 megapixels, beyond any telephone's usual setting. */
    private static final long MOST_PIXELS = 40_000_000;
    /** Twice the side that is kept, squared, at four bytes and some more: what a subsampled photograph takes. */
    private static final long MOST_UNPACKED = 48L << 20;
    private static final int MEGABYTE = 20;
    private static final long LONGEST_NANOS = 6_000_000_000L;
    private static final float QUALITY = 0.75f;

    /**
     * Reads a JPEG or a PNG.
     *
     * @throws BadInput if it is none, or unpacks to more than anybody photographs
     */
    public static Picture of(byte[] file) {
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
                throw new BadInput("photo", Message.of("problem.photo-none"));
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return read(reader);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof BadInput bad) {
                throw bad;
            }
            throw new BadInput("photo", Message.of("problem.photo-broken"));
        }
    }

    /** Every so many-th pixel alone is unpacked, so that what is held is hardly more than what is kept; and no longer than anybody waits. */
    private static BufferedImage read(ImageReader reader) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        long pixels = (long) width * height;
        if (pixels > MOST_PIXELS) {
            throw new BadInput("photo", Message.of("problem.photo-pixels", new Message.Number((double) pixels / 1_000_000), new Message.Number(MOST_PIXELS / 1_000_000)));
        }
        int every = Math.max(1, Math.max(width, height) / (2 * LONGEST_SIDE));
        ImageTypeSpecifier type = reader.getImageTypes(0).next();
        long unpacked = pixels / ((long) every * every) * type.getSampleModel().getNumBands() * type.getSampleModel().getSampleSize(0) / Byte.SIZE;
        if (unpacked > MOST_UNPACKED) {
            throw new BadInput("photo", Message.of("problem.photo-memory", new Message.Number(unpacked >> MEGABYTE), new Message.Number(MOST_UNPACKED >> MEGABYTE)));
        }
        ImageReadParam how = reader.getDefaultReadParam();
        how.setSourceSubsampling(every, every, 0, 0);
        Deadline deadline = new Deadline(System.nanoTime() + LONGEST_NANOS);
        reader.addIIOReadProgressListener(deadline);
        BufferedImage image = reader.read(0, how);
        if (deadline.passed) {
            throw new BadInput("photo", Message.of("problem.photo-slow", new Message.Number(LONGEST_NANOS / 1_000_000_000L)));
        }
        return image;
    }

    /** Breaks off a picture that is made to take long. */
    private static final class Deadline implements IIOReadProgressListener {

        private final long at;
        private boolean passed;

        Deadline(long at) {
            this.at = at;
        }

        @Override
        public void imageProgress(ImageReader source, float done) {
            if (System.nanoTime() > at) {
                passed = true;
                source.abort();
            }
        }

        @Override
        public void sequenceStarted(ImageReader source, int first) {
        }

        @Override
        public void sequenceComplete(ImageReader source) {
        }

        @Override
        public void imageStarted(ImageReader source, int index) {
        }

        @Override
        public void imageComplete(ImageReader source) {
        }

        @Override
        public void thumbnailStarted(ImageReader source, int image, int index) {
        }

        @Override
        public void thumbnailProgress(ImageReader source, float done) {
        }

        @Override
        public void thumbnailComplete(ImageReader source) {
        }

        @Override
        public void readAborted(ImageReader source) {
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
