package isotherm.server.garage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreLayout;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.testing.Examples;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A core by its data sheet, into {@code core} and back, and what cannot be. */
class CoreSheetTest {
    private static final CarDocument CAR =
            DocumentReader.read(Examples.read("corvid"), CaseDocument.class).car();

    private static final JsonMapper JSON = new JsonMapper();

    private static DesignDocument design(Consumer<ObjectNode> change) {
        ObjectNode design = (ObjectNode) JSON.readTree(Examples.read("plumb")).get("design");
        ObjectNode cooler = (ObjectNode) design.get("cooler");
        cooler.put("rows", 19).put("widthMm", 280).put("depthMm", 50);
        ObjectNode sheet = cooler.putObject("sheet");
        sheet.put("outsideWidthMm", 331).put("outsideHeightMm", 157).put("testBar", 21);
        sheet.putArray("ports")
                .addObject()
                .put("xMm", -150.5)
                .put("yMm", 68)
                .put("zMm", 25)
                .put("points", "FRONT");
        ((tools.jackson.databind.node.ArrayNode) sheet.get("ports"))
                .addObject()
                .put("xMm", 150.5)
                .put("yMm", 68)
                .put("zMm", 25)
                .put("points", "UP");
        sheet.putArray("holes").addObject().put("xMm", 158).put("yMm", -70).put("holeMm", 8.5);
        change.accept(sheet);
        return DocumentReader.read(design.toString(), DesignDocument.class);
    }

    @Test
    void goesIntoTheCoreAndComesBackTheSame() {
        DesignDocument d = design(s -> {});
        Core core = d.toCore(CAR).cooler().orElseThrow().core();
        CoreLayout layout = core.layout();
        assertThat(layout.width()).isEqualTo(0.331);
        assertThat(core.outsideHeight()).isEqualTo(0.157);
        assertThat(layout.ports())
                .extracting(CoreLayout.PortAt::points)
                .containsExactly(CoreLayout.Pointing.FRONT, CoreLayout.Pointing.UP);
        assertThat(core.sheet().orElseThrow().testPressure()).hasValue(21e5);
        assertThat(d.changedTo(CAR, d.toCore(CAR)).cooler().sheet())
                .isEqualTo(d.cooler().sheet());
    }

    @Test
    void anotherCoreIsNotOfThisSheet() {
        DesignDocument d = design(s -> {});
        Core core = d.toCore(CAR).cooler().orElseThrow().core();
        assertThat(d.changedTo(CAR, d.toCore(CAR).withCore(core.withRows(25)))
                        .cooler()
                        .sheet())
                .isNull();
    }

    @ParameterizedTest
    @CsvSource({
        "outsideWidthMm, 279, /cooler/sheet/outsideWidthMm, 280 mm",
        "outsideHeightMm, 5, /cooler/sheet/outsideHeightMm, 20 to 900",
        "testBar, 500, /cooler/sheet/testBar, 2 to 100",
    })
    void whatCannotBeIsNamed(String field, double value, String path, String told) {
        assertThatThrownBy(() -> design(s -> s.put(field, value)))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining(path)
                .hasMessageContaining(told);
    }

    @Test
    void aPortFarFromTheCoreIsNamedWithItsRange() {
        assertThatThrownBy(() -> design(s -> ((ObjectNode) s.get("ports").get(1)).put("xMm", 260)))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining("/cooler/sheet/ports/1/xMm")
                .hasMessageContaining("245.5");
        assertThatThrownBy(() -> design(s -> s.putArray("ports")))
                .isInstanceOf(InvalidDocument.class)
                .hasMessageContaining("/cooler/sheet/ports");
    }
}
