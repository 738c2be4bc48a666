package bricksignal.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import bricksignal.server.Cluster;
import bricksignal.server.RunningServer;
import java.awt.Font;
import java.awt.font.FontRenderContext;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The drawing is laid out by the widths of the font file that the JDK reads; what Chromium draws with its own shaping is as wide. */
@ExtendWith(RunningServer.class)
class LetteringTest {

    private static final float SIZE = 12;
    private static final List<String> LABELS = List.of("limit feed side", "P1 pin 2", "Transformer 40 VA", "AV WAVE To Te", "120 V", "pressure switch");

    private final RunningServer.Instance server;

    LetteringTest(RunningServer.Instance server) {
        this.server = server;
    }

    @Test
    void letterIsAsWideInTheBrowserAsInTheFontFile() throws Exception {
        Font face = Font.createFont(Font.TRUETYPE_FONT, Cluster.project().resolve("server/src/main/resources/fonts/B612-Regular.ttf").toFile()).deriveFont(SIZE);
        FontRenderContext exact = new FontRenderContext(null, true, true);
        List<String> texts = java.util.stream.Stream.concat(IntStream.rangeClosed('!', '~').mapToObj(Character::toString), LABELS.stream()).toList();
        try (Browser browser = new Browser(server.url(), 1280, 800)) {
            browser.go("/login");
            browser.see("#username");
            Map<?, ?> drawn = (Map<?, ?>) browser.driver().executeAsyncScript("""
                    const done = arguments[arguments.length - 1], texts = arguments[0];
                    document.fonts.load('12px B612').then(() => {
                      const pen = document.createElement('canvas').getContext('2d');
                      pen.font = '12px B612';
                      done(Object.fromEntries(texts.map(text => [text, pen.measureText(text).width])));
                    });""", texts);
            assertThat(texts.stream().collect(Collectors.toMap(text -> text, text -> ((Number) drawn.get(text)).doubleValue())))
                    .allSatisfy((text, width) -> assertThat(width).as(text).isCloseTo(face.getStringBounds(text, exact).getWidth(), Offset.offset(0.02 * SIZE * text.length())));
        }
    }
}
