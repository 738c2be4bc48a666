package bricksignal.server;

import bricksignal.casework.entry.Entry;
import bricksignal.casework.entry.EntryFormat;
import bricksignal.core.lamp.Sighting;
import bricksignal.core.lamp.Taps;
import bricksignal.core.lamp.Trace;
import bricksignal.core.unit.When;
import bricksignal.core.words.Measured;
import bricksignal.core.words.Message;
import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.info.License;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.BooleanSchema;
import io.swagger.v3.oas.models.media.NumberSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI document: what of a record may be absent is told by {@link Nullable} and by nothing else. */
@Configuration
class ApiDocument {

    @Bean
    OpenAPI openApi() {
        return new OpenAPI().info(new Info().title("Brick Signal").version("1").license(new License().name("Apache-2.0")))
                .servers(List.of(new Server().url("/")));
    }

    /** A message is its words. */
    @Bean
    ModelConverter wordsForMessages() {
        return new ModelConverter() {
            @Override
            public @Nullable Schema<?> resolve(AnnotatedType type, ModelConverterContext context,
                    Iterator<ModelConverter> chain) {
                JavaType java = Json.mapper().constructType(type.getType());
                if (java != null && Message.class.isAssignableFrom(java.getRawClass())) {
                    return new StringSchema();
                }
                if (java != null && java.hasRawClass(Measured.class)) {
                    return new NumberSchema().format("double");
                }
                return chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
            }
        };
    }

    /** An entry to send: one schema for each kind, told apart by its name, out of the types that it is read into. */
    @Bean
    OpenApiCustomizer entries() {
        return document -> {
            Schema<Object> any = new Schema<>();
            EntryFormat.allKinds().forEach((kind, type) -> {
                String name = "New" + type.getSimpleName();
                document.getComponents().addSchemas(name, entry(kind, type));
                any.addOneOfItem(new Schema<>().$ref("#/components/schemas/" + name));
            });
            Schema<?> trace = new Schema<>().type("object").addProperty("seconds", numbers()).addProperty("level", numbers())
                    .addProperty("around", numbers()).addProperty("colours", new ArraySchema().items(numbers()))
                    .addProperty("mark", new StringSchema());
            trace.setRequired(List.of("seconds", "level"));
            document.getComponents().addSchemas("NewTrace", trace);
            document.getComponents().addSchemas("NewEntry", any);
        };
    }

    private static Schema<?> entry(String kind, Class<? extends Entry> type) {
        Schema<?> entry = new Schema<>().type("object").addProperty("id", new StringSchema().format("uuid"))
                .addProperty("madeAt", new NumberSchema().description("milliseconds since 1970"))
                .addProperty("supersedes", new StringSchema().format("uuid"))
                .addProperty("kind", new StringSchema()._enum(List.of(kind)));
        List<String> required = new ArrayList<>(List.of("id", "madeAt", "kind"));
        for (RecordComponent component : type.getRecordComponents()) {
            if (EntryFormat.saidByWhoeverTakesItIn(type).contains(component.getName())) {
                continue;
            }
            if (component.getType() == Taps.class) {
                entry.addProperty("taps", numbers()).addProperty("holds", numbers())
                        .addProperty("marks", new ArraySchema().items(new StringSchema()));
                required.add("taps");
                continue;
            }
            entry.addProperty(component.getName(), component.getType() == List.class ? list(component) : field(component.getType()));
            if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                required.add(component.getName());
            }
        }
        if (EntryFormat.mayBeEarlier(type)) {
            entry.addProperty("when", field(When.class));
        }
        entry.setRequired(required);
        return entry;
    }

    private static Schema<?> field(Class<?> type) {
        if (type == boolean.class) {
            return new BooleanSchema();
        } else if (type == double.class) {
            return new NumberSchema();
        } else if (type == Trace.class) {
            return new Schema<>().$ref("#/components/schemas/NewTrace");
        } else if (type.isEnum()) {
            return new StringSchema()._enum(Arrays.stream(type.getEnumConstants()).map(String::valueOf).toList());
        }
        return type == Sighting.class ? new Schema<>().type("object") : new StringSchema();
    }

    private static Schema<?> list(RecordComponent component) {
        return component.getGenericType().getTypeName().endsWith("<java.lang.Double>") ? numbers() : new ArraySchema().items(new StringSchema());
    }

    private static Schema<?> numbers() {
        return new ArraySchema().items(new NumberSchema());
    }

    @Bean
    ModelConverter requiredUnlessNullable() {
        return new ModelConverter() {
            @Override
            public @Nullable Schema<?> resolve(AnnotatedType type, ModelConverterContext context,
                    Iterator<ModelConverter> chain) {
                Schema<?> resolved = chain.hasNext() ? chain.next().resolve(type, context, chain) : null;
                JavaType java = Json.mapper().constructType(type.getType());
                if (resolved != null && java != null && java.getRawClass().isRecord()) {
                    String ref = resolved.get$ref();
                    Schema<?> model = ref == null ? resolved
                            : context.getDefinedModels().get(ref.substring(ref.lastIndexOf('/') + 1));
                    markRequired(java.getRawClass(), model);
                }
                return resolved;
            }
        };
    }

    private static void markRequired(Class<?> record, @Nullable Schema<?> model) {
        if (model == null || model.getProperties() == null) {
            return;
        }
        for (RecordComponent component : record.getRecordComponents()) {
            boolean optional = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
            boolean known = model.getRequired() != null && model.getRequired().contains(component.getName());
            if (!optional && !known && model.getProperties().containsKey(component.getName())) {
                model.addRequiredItem(component.getName());
            }
        }
    }
}
