package isotherm.server.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.exchanger.Construction;
import isotherm.core.parts.Parts;
import isotherm.server.contract.DocumentReader;
import isotherm.server.garage.BayDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.NoseDocument;
import isotherm.server.garage.PresetsDocument;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;

/** What something begins as is whole, and fits together. */
class PresetsTest {
    private static final PresetsDocument PRESETS = PresetsDocument.shipped();

    private static Stream<PresetsDocument.NoseStart> noses() {
        return PRESETS.starts().noses().stream();
    }

    private record Span(String name, double left, double width, double bottom) {}

    private static List<Span> spans(NoseDocument nose) {
        return Stream.concat(
                        nose.openings().stream().map(o -> new Span(o.name(), o.leftMm(), o.widthMm(), o.bottomMm())),
                        nose.parts().stream().map(p -> new Span(p.name(), p.leftMm(), p.widthMm(), p.bottomMm())))
                .toList();
    }

    @ParameterizedTest
    @MethodSource("noses")
    void aNoseIsAsWideToTheLeftAsToTheRightAboveTheGroundAndNamesEachThingOnce(PresetsDocument.NoseStart start) {
        assertThat(spans(start.nose())).allSatisfy(s -> {
            assertThat(s.left() + s.width() / 2).as(s.name()).isEqualTo(0, within(1e-6));
            assertThat(s.bottom())
                    .as(s.name())
                    .isGreaterThanOrEqualTo(start.nose().groundMm());
        });
        assertThat(spans(start.nose()).stream().map(Span::name)).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @MethodSource("noses")
    void theRadiatorIsBehindTheBeamAndTheFanBehindTheRadiator(PresetsDocument.NoseStart start) {
        List<NoseDocument.NosePartDocument> inOrder = Stream.of("BEAM", "RADIATOR", "FAN")
                .map(kind -> start.nose().parts().stream()
                        .filter(p -> p.kind().name().equals(kind))
                        .findFirst()
                        .orElseThrow())
                .toList();
        for (int i = 1; i < inOrder.size(); i++) {
            assertThat(inOrder.get(i).frontMm())
                    .isGreaterThanOrEqualTo(
                            inOrder.get(i - 1).frontMm() + inOrder.get(i - 1).depthMm());
        }
    }

    @Test
    void everyBoxOfABayStandsInIt() {
        assertThat(PRESETS.starts().bays()).hasSizeGreaterThan(1).allSatisfy(b -> {
            BayDocument bay = b.bay();
            assertThat(bay.boxes())
                    .isNotEmpty()
                    .allSatisfy(box -> assertThat(box.bottomMm()).as(box.name()).isLessThan(bay.topMm()));
        });
    }

    @Test
    void plateAndHoseAreInTheCatalogueThatShips() {
        Parts parts = PlumbingParts.shipped();
        assertThat(parts.takeoffs().stream().map(t -> t.number()))
                .contains(PRESETS.starts().plumbing().takeoff());
        assertThat(parts.hoses().stream().map(h -> h.number()))
                .contains(PRESETS.starts().plumbing().hose());
    }

    @Test
    void aDesignThatBeginsWithThemIsTaken() {
        DesignDocument begun = new DesignDocument(
                "Begun",
                PRESETS.starts().cooler(),
                true,
                PRESETS.starts().ownOil(),
                PRESETS.starts().plumbing());
        String text = new JsonMapper().writeValueAsString(begun);
        assertThat(DocumentReader.read(text, DesignDocument.class)).isEqualTo(begun);
    }

    @Test
    void everyConstructionHasItsInnerDimensionsAndEveryKindOfDutyItsStart() {
        assertThat(PRESETS.details().stream().map(d -> d.construction()))
                .hasSize(Construction.values().length)
                .doesNotHaveDuplicates();
        assertThat(PRESETS.starts().duties().stream().map(d -> d.id()))
                .containsExactly("track", "climb", "mountain", "cruise", "warmUp", "soak");
        assertThat(PRESETS.grades()).contains("5W-40", "10W-60");
    }
}
