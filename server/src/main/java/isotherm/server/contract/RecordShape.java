package isotherm.server.contract;

import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What a record looks like, found once: asking a class for its components costs more than reading a document of them.
 *
 * @param fields its components in their order
 * @param names of the fields
 * @param constructor that takes all of them
 */
record RecordShape(List<Field> fields, Set<String> names, Constructor<?> constructor) {
    private static final ClassValue<RecordShape> KNOWN = new ClassValue<>() {
        @Override
        protected RecordShape computeValue(Class<?> type) {
            return found(type);
        }
    };

    /**
     * A field of a document.
     *
     * @param name its name
     * @param type its type
     * @param generic the same with what it holds
     * @param missing what stands where it is left out, if it may be
     * @param quantity its range and unit, of a number
     * @param text what it is and how long it may be
     */
    record Field(
            String name,
            Class<?> type,
            Type generic,
            @Nullable Missing missing,
            @Nullable Quantity quantity,
            @Nullable Text text) {
        private static Field of(RecordComponent c) {
            return new Field(
                    c.getName(),
                    c.getType(),
                    c.getGenericType(),
                    c.getAnnotation(Missing.class),
                    c.getAnnotation(Quantity.class),
                    c.getAnnotation(Text.class));
        }
    }

    static RecordShape of(Class<?> type) {
        return KNOWN.get(type);
    }

    private static RecordShape found(Class<?> type) {
        List<Field> fields =
                Arrays.stream(type.getRecordComponents()).map(Field::of).toList();
        try {
            Constructor<?> constructor =
                    type.getDeclaredConstructor(fields.stream().map(Field::type).toArray(Class<?>[]::new));
            constructor.setAccessible(true);
            return new RecordShape(
                    fields, fields.stream().map(Field::name).collect(Collectors.toUnmodifiableSet()), constructor);
        } catch (NoSuchMethodException e) {
            throw new IllegalStateException(type + " is no record", e);
        }
    }
}
