package isotherm.server.garage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.airflow.Place;
import isotherm.core.car.Design;
import isotherm.core.car.Work;
import isotherm.core.exchanger.Core;
import isotherm.core.fluid.Oil;
import isotherm.core.simulate.Simulator;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.InvalidDocument;
import isotherm.server.contract.Problem;
import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogFormat;
import isotherm.server.testing.Examples;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Documents say the same after a way out and in, and after a way through the computation. */
class RoundTripTest {
    private static final CarDocument CAR =
            DocumentReader.read(Examples.read("corvid"), CaseDocument.class).car();

    private static final JsonMapper JSON = new JsonMapper();

    private static CaseDocument read(String name) {
        return DocumentReader.read(Examples.read(name), CaseDocument.class);
    }

    static Stream<String> cases() {
        return Stream.of("corvid", "hauler", "wren");
    }

    @ParameterizedTest
    @MethodSource("cases")
    void aCaseIsTheSameAfterItWasWrittenAndReadAgain(String name) {
        CaseDocument once = read(name);
        CaseDocument again = DocumentReader.read(JSON.writeValueAsString(once), CaseDocument.class);
        assertThat(again).isEqualTo(once);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void aDesignIsTheSameAfterItsWayThroughTheComputation(String name) {
        CaseDocument c = read(name);
        Design there = c.design().toCore(c.car());
        Design back = c.design().changedTo(c.car(), there).toCore(c.car());
        double once = Simulator.run(c.car().toCore(), c.duty().toCore(), there).peak();
        double again = Simulator.run(c.car().toCore(), c.duty().toCore(), back).peak();
        assertThat(again).isCloseTo(once, within(1e-6));
        assertThat(c.design().changedTo(c.car(), there).cooler().placement())
                .isEqualTo(c.design().cooler().placement());
    }

    @Test
    void aChangeThatLeavesTheCoreInItsPlaceKeepsTheDrawing() {
        DesignDocument d = read("corvid").design();
        Core more = d.toCore(CAR).cooler().orElseThrow().core().withRows(19);
        DesignDocument changed = d.changedTo(CAR, d.toCore(CAR).withCore(more));
        assertThat(changed.name()).isEqualTo(d.name());
        assertThat(changed.cooler().rows()).isEqualTo(19);
        assertThat(changed.cooler().placement()).isEqualTo(d.cooler().placement());
    }

    @Test
    void aChangeThatSealsTheOpeningPutsShroudAndFoamIntoTheDrawing() {
        DesignDocument d = read("corvid").design();
        var airway = d.toCore(CAR).cooler().orElseThrow().airway();
        DesignDocument sealed = d.changedTo(CAR, d.toCore(CAR).withAirway(airway.withSealing(0.9)));
        assertThat(sealed.cooler().placement().shroud()).isTrue();
        assertThat(sealed.cooler().placement().foam()).isTrue();
        assertThat(sealed.cooler().placement().yMm())
                .isEqualTo(d.cooler().placement().yMm());
    }

    @Test
    void aChangeThatMovesTheCoreElsewhereTakesItOutOfTheDrawing() {
        DesignDocument d = read("corvid").design();
        var airway = d.toCore(CAR).cooler().orElseThrow().airway();
        DesignDocument moved = d.changedTo(CAR, d.toCore(CAR).withAirway(airway.withPlace(Place.FRONT_CORNER_VENTED)));
        assertThat(moved.cooler().placement()).isNull();
        assertThat(d.changedTo(CAR, Design.NO_COOLER).cooler()).isNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"TIME", "SPEED", "OIL", "PRESSURE", "ELEVATION", "POWER"})
    void everyUnitOfAChannelIsReadIntoItsOwn(String name) {
        Channel channel = Channel.valueOf(name);
        assertThat(channel.units().get(0).convert(12.5)).isEqualTo(12.5);
        for (Channel.Unit unit : channel.units()) {
            assertThat(unit.convert(2)).isNotEqualTo(unit.convert(1));
            assertThat(new LogFormat.Column("x", channel, unit).convert(3)).isEqualTo(unit.convert(3));
        }
        assertThat(new LogFormat.Column("x", channel, null).convert(3)).isEqualTo(3);
    }

    @Test
    void knownPairsOfUnits() {
        assertThat(Channel.Unit.F.convert(212)).isCloseTo(100, within(1e-9));
        assertThat(Channel.Unit.K.convert(373.15)).isCloseTo(100, within(1e-9));
        assertThat(Channel.Unit.MPH.convert(60)).isCloseTo(96.56, within(0.01));
        assertThat(Channel.Unit.KNOT.convert(10)).isCloseTo(18.52, within(1e-9));
        assertThat(Channel.Unit.PSI.convert(100)).isCloseTo(6.895, within(1e-3));
        assertThat(Channel.Unit.HP.convert(100)).isCloseTo(74.57, within(0.01));
        assertThat(Channel.Unit.FT.convert(1000)).isCloseTo(304.8, within(1e-9));
        assertThat(Channel.Unit.named(" KM/H ")).contains(Channel.Unit.KMH);
        assertThat(Channel.Unit.named("furlong")).isEmpty();
    }

    @Test
    void aNoseComesIntoTheComputationInMetres() {
        var nose = read("corvid").car().nose().toCore();
        assertThat(nose.openings()).hasSize(2);
        assertThat(nose.parts()).anySatisfy(p -> {
            assertThat(p.name()).isEqualTo("radiator");
            assertThat(p.front()).isCloseTo(0.278, within(1e-9));
            assertThat(p.face().width()).isCloseTo(0.62, within(1e-9));
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\"xMm\": 0 -> \"xMm\": 99999 ~ /design/cooler/placement/xMm",
                "\"tiltDeg\": 0 -> \"tiltDeg\": 95 ~ /design/cooler/placement/tiltDeg",
                "\"kind\": \"BEAM\" -> \"kind\": \"SOFA\" ~ /car/nose/parts/0/kind",
                "\"barPercent\": 25 -> \"barPercent\": 120 ~ /car/nose/openings/0/barPercent",
                "\"crushMm\": 70 -> \"crushMm\": \"deep\" ~ /car/nose/crushMm",
            })
    void whatCannotBeMeasuredIsNamedWithItsPath(String change) {
        String[] parts = change.split(" -> | ~ ");
        String json = Examples.read("corvid");
        assertThat(json).contains(parts[0]);
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> DocumentReader.read(
                        json.replaceFirst(java.util.regex.Pattern.quote(parts[0]), parts[1]), CaseDocument.class))
                .isInstanceOfSatisfying(
                        InvalidDocument.class,
                        e -> assertThat(e.problems()).extracting(Problem::path).contains(parts[2]));
    }

    private static CaseDocument series(String work) {
        ObjectNode asked = (ObjectNode) JSON.readTree(Examples.read("corvid"));
        ObjectNode factory = ((ObjectNode) asked.at("/design/cooler")).deepCopy();
        factory.remove("placement");
        ((ObjectNode) asked.get("car"))
                .set("factoryCooler", factory.put("rows", 7).put("extraVolumeL", 0.5));
        ObjectNode design = (ObjectNode) asked.get("design");
        if (work == null) {
            design.remove(List.of("cooler", "plumbing"));
        } else {
            design.put("work", work);
        }
        return DocumentReader.read(asked.toString(), CaseDocument.class);
    }

    @Test
    void otherOilLeavesTheFactoryCoolerTheCars() {
        CaseDocument c = series(null);
        Design was = c.design().toCore(c.car());
        assertThat(was.cooler()).isPresent();
        Oil other = Oil.grade("10W-60").orElseThrow();
        DesignDocument oil = c.design().changedTo(c.car(), was.withOil(other));
        assertThat(oil.cooler()).isNull();
        assertThat(oil.oil().grade()).isEqualTo("10W-60");
        assertThat(oil.toCore(c.car())).isEqualTo(was.withOil(other));
        DesignDocument rows = c.design()
                .changedTo(
                        c.car(), was.withCore(was.cooler().orElseThrow().core().withRows(13)));
        assertThat(rows.cooler().rows()).isEqualTo(13);
        assertThat(rows.work()).isEqualTo(Work.CORE);
    }

    @Test
    void aCoreInSeriesIsTheSameAfterAChangeAndStaysBehindTheFactorys() {
        CaseDocument c = series("IN_SERIES");
        Design was = c.design().toCore(c.car());
        assertThat(was.cooler().orElseThrow().loop().upstream()).isPresent();
        DesignDocument again = c.design().changedTo(c.car(), was);
        assertThat(again.work()).isEqualTo(Work.IN_SERIES);
        assertThat(again.toCore(c.car())).isEqualTo(was);
        DesignDocument out = c.design().changedTo(c.car(), was.withCooler(Optional.empty()));
        assertThat(out.cooler()).isNull();
        assertThat(out.work()).as("nothing is built").isNull();
    }
}
