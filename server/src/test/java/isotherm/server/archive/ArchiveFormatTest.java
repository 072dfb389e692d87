package isotherm.server.archive;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isotherm.server.contract.InvalidDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a file says of itself is looked at first. */
class ArchiveFormatTest {
    @Test
    void thisVersionIsRead() {
        assertThatCode(() -> ArchiveFormat.GARAGE.check("{\"format\":\"isotherm-garage\",\"version\":1}"))
                .doesNotThrowAnyException();
        assertThatCode(() -> ArchiveFormat.DESIGN.check("{\"version\":1,\"format\":\"isotherm-design\"}"))
                .doesNotThrowAnyException();
    }

    @ParameterizedTest
    @ValueSource(strings = {"3", "17", "999999999999"})
    void aNewerVersionIsRefusedPolitelyWhateverElseIsInIt(String version) {
        assertThatThrownBy(() -> ArchiveFormat.GARAGE.check("{\"format\":\"isotherm-garage\",\"version\":" + version
                        + ",\"drivers\":{\"of\":\"the future\"}}"))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining("/version")
                .hasMessageContaining("newer Isotherm")
                .hasMessageContaining("version " + version)
                .hasMessageContaining("Nothing was taken in")
                .hasMessageContaining("up to date");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"format\":\"isotherm-design\",\"version\":1} | isotherm-garage",
                "{\"format\":7,\"version\":1} | isotherm-garage",
                "{\"version\":1} | isotherm-garage",
                "[] | isotherm-garage",
                "17 | isotherm-garage",
                "{\"format\":  | not JSON",
                "PK | not JSON"
            })
    void anotherKindOfFileIsSaidToBeOne(String text, String said) {
        assertThatThrownBy(() -> ArchiveFormat.GARAGE.check(text))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining(said);
    }
}
