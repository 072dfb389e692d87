package isotherm.words;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessagePattern;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import isotherm.core.message.MessageTopic;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every topic has its words, and every word its topic. */
class CatalogueTest {
    private static Stream<? extends MessageTopic> topics() {
        return new ClassFileImporter()
                .importPackages("isotherm.core").stream()
                        .filter(c -> c.isAssignableTo(MessageTopic.class) && c.isEnum())
                        .map(JavaClass::reflect)
                        .flatMap(c -> Arrays.stream(c.getEnumConstants()).map(MessageTopic.class::cast));
    }

    @Test
    void everyTopicHasItsWordsAndEveryMessageItsTopic() {
        List<String> wanted = topics().flatMap(t -> t.parts().stream().map(t::key))
                .distinct()
                .sorted()
                .toList();
        assertThat(wanted).hasSizeGreaterThan(70);
        assertThat(Words.english().patterns().keySet()).containsExactlyElementsOf(new TreeSet<>(wanted));
    }

    @Test
    void everyPatternCanBeRead() {
        assertThat(Words.english().patterns()).allSatisfy((key, pattern) -> {
            MessagePattern read = new MessagePattern(pattern);
            assertThat(read.countParts()).as(key).isPositive();
            assertThat(pattern).as(key).isEqualTo(pattern.strip()).doesNotContain("  ");
            // A brace too many is no error to a message format: it would stand in the sentence.
            assertThat(pattern.chars().filter(c -> c == '{').count())
                    .as(key)
                    .isEqualTo(pattern.chars().filter(c -> c == '}').count());
        });
    }

    /** Units belong to figures; a unit written out in a pattern would be wrong for half of the readers. */
    @Test
    void noPatternNamesAUnit() {
        Pattern unit = Pattern.compile(
                "\\d ?(°C|°F|K|mm|cm|km|km/h|mph|bar|psi|L|kW|hp|N·m|kg|lb|in|ft|qt|rpm)\\b|(°C|°F|N·m|km/h)");
        assertThat(Words.english().patterns())
                .allSatisfy((key, pattern) -> assertThat(unit.matcher(pattern).find())
                        .as(key + ": " + pattern)
                        .isFalse());
    }
}
