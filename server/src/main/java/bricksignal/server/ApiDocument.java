package bricksignal.server;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.info.License;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
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
