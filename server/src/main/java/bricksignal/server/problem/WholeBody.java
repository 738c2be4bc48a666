package bricksignal.server.problem;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Collection;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * What arrives is whole: no field of a record that is not marked nullable is null, no list or map holds a null, no text holds a
 * character that a database or a person cannot see, no number is not a number. Said once here, for every address.
 */
@RestControllerAdvice
class WholeBody extends RequestBodyAdviceAdapter {

    private static final int DEEPEST = 20;

    @Override
    public boolean supports(MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converter) {
        return parameter.getParameterType().isRecord();
    }

    @Override
    public Object afterBodyRead(Object body, HttpInputMessage message, MethodParameter parameter, Type type,
            Class<? extends HttpMessageConverter<?>> converter) {
        look("", body, 0);
        return body;
    }

    private static void look(String path, @Nullable Object value, int depth) {
        if (value == null) {
            throw new BadInput(path, "'" + path + "' is missing.");
        }
        if (depth > DEEPEST) {
            throw new BadInput(path, "'" + path + "' is nested more than " + DEEPEST + " deep.");
        }
        if (value instanceof String text) {
            text(path, text);
        } else if (value instanceof Double number && !Double.isFinite(number)) {
            throw new BadInput(path, "'" + path + "' is not a number.");
        } else if (value instanceof Collection<?> items) {
            int i = 0;
            for (Object item : items) {
                look(path + "[" + i++ + "]", item, depth + 1);
            }
        } else if (value instanceof Map<?, ?> map) {
            map.forEach((key, item) -> {
                look(path, key, depth + 1);
                look(path.isEmpty() ? String.valueOf(key) : path + "." + key, item, depth + 1);
            });
        } else if (value instanceof Record record) {
            for (RecordComponent component : record.getClass().getRecordComponents()) {
                component(path, record, component, depth);
            }
        }
    }

    private static void component(String path, Record record, RecordComponent component, int depth) {
        Object value;
        try {
            component.getAccessor().setAccessible(true);
            value = component.getAccessor().invoke(record);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException(e);
        }
        if (value != null || !component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
            look(path.isEmpty() ? component.getName() : path + "." + component.getName(), value, depth + 1);
        }
    }

    private static void text(String path, String text) {
        if (text.chars().anyMatch(c -> c < ' ' && c != '\n' && c != '\t' && c != '\r' || c == 0x7f)) {
            throw new BadInput(path, "'" + path + "' holds an invisible character. Type it again.");
        }
    }
}
