package isotherm.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Phrases that people stumbled over have been replaced, and come back nowhere: not on screen, not on paper, not in the guides. */
class PlainWordsTest {
    private static final List<Path> PLACES = List.of(
            Path.of("en.json"),
            Path.of("..", "web", "src"),
            Path.of("..", "server", "src", "main"),
            Path.of("..", "core", "src", "main"),
            Path.of("..", "docs"),
            Path.of("..", "README.md"));

    private static Stream<Path> files(Path place) {
        try {
            return Files.walk(place).filter(Files::isRegularFile).filter(f -> f.toString()
                    .matches(".*\\.(tsx?|java|json|md)"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Leave it",
                "Keep what is here",
                "Take what is there",
                "Bring in a",
                "Take it out",
                "Take this point out",
                "Split it",
                "Let the logger go",
                "It sits",
                "Passes when shut",
                "Full open at",
                "Breathes",
                "Highest revs",
                "Of which leaves the pump",
                "What sump and block take",
                "Fittings by",
                "Feed the other port",
                "Engine moves",
                "Fills at idle in",
                "A leak empties it in",
                "Leans back",
                "Behind the skin",
                "Behind what crushes",
                "Air, by hand",
                "The nose by tape",
                "stays in hand",
                "What would the two schools do",
                "More cooling is needed than",
                "agree by",
                "It happened today",
                "Write the odometer down",
                "Who works",
                "Dark paper",
                "Light paper",
                "Hours of the oil out of",
                "Nothing of that name",
                "The document cannot be taken"
            })
    void isSaidInPlainerWordsNow(String phrase) {
        assertThat(PLACES.stream().flatMap(PlainWordsTest::files).filter(f -> text(f).contains(phrase)))
                .isEmpty();
    }
}
