package isotherm.words;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.whatif.Figure;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The page of the documentation that says what each figure is holds the words of the screens. */
class FiguresPageTest {
    private static final Path PAGE = Path.of("..", "docs", "figures.md");

    private static String page() {
        Map<String, String> words = Words.english().patterns();
        return """
                # Figures

                Every figure on a screen opens by a press and says this, with its interval and with what moves it where it comes out of
                a session. The words are those of `words/en.json`; this page is written from them by the tests.

                """
                + Arrays.stream(Figure.values())
                        .map(f -> "## %s\n\n%s\n\n- Equation: %s\n- Source: %s\n"
                                .formatted(
                                        words.get(f.key("name")),
                                        words.get(f.key("what")),
                                        words.get(f.key("equation")),
                                        words.get(f.key("source"))))
                        .collect(Collectors.joining("\n"));
    }

    @Test
    void thePageSaysWhatTheScreensSay() throws IOException {
        if (System.getenv("ISOTHERM_UPDATE") != null) {
            Files.writeString(PAGE, page());
        }
        assertThat(PAGE).hasContent(page());
    }
}
