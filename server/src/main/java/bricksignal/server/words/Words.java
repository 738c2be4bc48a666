package bricksignal.server.words;

import bricksignal.casework.words.Catalogue;
import bricksignal.core.Known;
import bricksignal.core.words.Message;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** The catalogues that ship, one file a language below {@code words/}; English where the language asked for has none. */
@Component
public class Words {

    private final Map<String, Catalogue> byLanguage = new LinkedHashMap<>();

    Words() {
        try {
            for (Resource file : new PathMatchingResourcePatternResolver().getResources("classpath*:words/*.properties")) {
                byLanguage.put(String.valueOf(file.getFilename()).replace(".properties", ""),
                        Catalogue.read(file.getContentAsString(StandardCharsets.UTF_8)));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The words of a message in the language of the request at hand. */
    public String of(Message message) {
        return catalogue().words(message);
    }

    /** The same as a sentence. */
    public String sentence(Message message) {
        return catalogue().sentence(message);
    }

    private Catalogue catalogue() {
        Catalogue asked = byLanguage.get(LocaleContextHolder.getLocale().getLanguage());
        return asked == null ? Known.in(byLanguage, Locale.ENGLISH.getLanguage()) : asked;
    }

    /** In JSON a message is its words. */
    @Bean
    static JsonMapperBuilderCustomizer messagesAreWords(Words words) {
        return builder -> builder.addModule(new SimpleModule("messages").addSerializer(new Told(words)));
    }

    private static final class Told extends StdSerializer<Message> {

        private final Words words;

        Told(Words words) {
            super(Message.class);
            this.words = words;
        }

        @Override
        public void serialize(Message message, JsonGenerator to, SerializationContext context) {
            Catalogue catalogue = (Catalogue) context.getAttribute(Told.class);
            if (catalogue == null) {
                catalogue = words.catalogue();
                context.setAttribute(Told.class, catalogue);
            }
            to.writeString(catalogue.words(message));
        }
    }
}
