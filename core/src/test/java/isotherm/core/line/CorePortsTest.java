package isotherm.core.line;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreLayout;
import isotherm.core.exchanger.CoreLayout.PortAt;
import isotherm.core.exchanger.CoreSheet;
import isotherm.core.exchanger.Finish;
import isotherm.core.exchanger.Ports;
import isotherm.core.nose.NoseFit;
import isotherm.core.nose.Placement;
import isotherm.core.nose.Template;
import isotherm.core.parts.End;
import isotherm.core.parts.Joint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** One core has one set of port coordinates: on its template, in the nose and in the routes. */
class CorePortsTest {
    private static final End END = new End(Joint.O_RING_BOSS, "-10", false);

    /** Every core of the catalogue in each way of pointing its ports, and 200 own ones by their data sheets. */
    private static List<Core> cores() {
        List<Core> all = new ArrayList<>();
        for (CorePart part : CorePart.shipped()) {
            Core c = part.core();
            for (Ports ports : Ports.values()) {
                all.add(new Core(
                        c.construction(), c.rows(), c.width(), c.depth(), c.passes(), Finish.BARE, ports, c.detail()));
            }
        }
        Random random = new Random(29);
        CoreLayout.Pointing[] ways = CoreLayout.Pointing.values();
        for (int i = 0; i < 200; i++) {
            Core plain = Core.stackedPlate(7 + random.nextInt(30), 0.2 + 0.3 * random.nextDouble(), 0.05);
            double w = plain.outsideWidth() + 0.05 * random.nextDouble();
            double h = plain.outsideHeight() + 0.03 * random.nextDouble();
            List<PortAt> ports = new ArrayList<>();
            for (int p = 0; p < 2; p++) {
                ports.add(new PortAt(
                        w * (random.nextDouble() - 0.5),
                        h * (random.nextDouble() - 0.5),
                        0.05 * random.nextDouble(),
                        ways[random.nextInt(ways.length)]));
            }
            all.add(plain.withSheet(new CoreSheet(
                    w, h, ports, List.of(new CoreLayout.Hole(w / 3, h / 3, 8.5e-3)), OptionalDouble.empty())));
        }
        return all;
    }

    private static Placement placement(Random random) {
        return new Placement(
                random.nextDouble() - 0.5,
                0.3 + 0.3 * random.nextDouble(),
                0.1 + 0.3 * random.nextDouble(),
                Math.toRadians(80 * random.nextDouble() - 40),
                false,
                false,
                false,
                List.of(),
                random.nextInt(3) == 0 ? Optional.empty() : Optional.of(random.nextBoolean()),
                false);
    }

    @Test
    void templateNoseAndRoutesHaveTheSamePortsAndHoles() {
        Random random = new Random(41);
        for (Core core : cores()) {
            Placement at = placement(random);
            double takeoffX = random.nextDouble() - 0.5;
            CoreLayout layout = at.layout(core, OptionalDouble.of(takeoffX));
            assertThat(layout.width()).isEqualTo(core.outsideWidth());
            assertThat(layout.height()).isEqualTo(core.outsideHeight());

            Template t = Template.of("x", core, at, Optional.empty(), OptionalDouble.of(takeoffX));
            double[] middle = middle(t);
            List<Template.Circle> drawn = circles(t, Template.Layer.PORT);
            List<Line.Port> routed = CorePorts.of(core, at, END, takeoffX);
            assertThat(drawn).hasSize(2);
            for (int i = 0; i < 2; i++) {
                PortAt port = layout.ports().get(i);
                assertThat(drawn.get(i).x() - middle[0]).isCloseTo(port.x() * 1e3, within(1e-6));
                assertThat(drawn.get(i).y() - middle[1]).isCloseTo(port.y() * 1e3, within(1e-6));
                Vector3D inCar = at.inCar(port.x(), port.y(), port.z());
                assertThat(routed).anySatisfy(r -> {
                    assertThat(Vector3D.distance(r.at(), inCar)).isLessThan(1e-9);
                    assertThat(r.out().getNorm()).isCloseTo(1, within(1e-9));
                });
            }
            assertThat(routed.get(0).at().getY())
                    .isLessThanOrEqualTo(routed.get(1).at().getY() + 1e-6);
            assertThat(circles(t, Template.Layer.HOLE)).hasSize(layout.holes().size());
        }
    }

    @Test
    void theNosesOutlineIsTheLayouts() {
        Random random = new Random(43);
        for (Core core : cores()) {
            Placement at = new Placement(0.1, 0.4, 0.2, 0, false, false, false, List.of());
            CoreLayout layout = at.layout(core, OptionalDouble.of(random.nextDouble()));
            var nose = new isotherm.core.nose.Nose(List.of(), List.of(), 0.05, 0.15, false);
            var outline = NoseFit.of(nose, core, at).outline();
            assertThat(outline.width()).isCloseTo(layout.width(), within(1e-9));
            assertThat(outline.height()).isCloseTo(layout.height(), within(1e-9));
            assertThat(outline.left() + outline.width() / 2).isCloseTo(at.x(), within(1e-9));
        }
    }

    @Test
    void aTurnedCoreIsItselfAgainWhenTurnedTwice() {
        for (Core core : cores()) {
            CoreLayout once = core.layout().turned();
            for (int i = 0; i < 2; i++) {
                assertThat(once.ports().get(i).x())
                        .isEqualTo(-core.layout().ports().get(i).x());
                PortAt twice = once.turned().ports().get(i);
                PortAt first = core.layout().ports().get(i);
                assertThat(twice.points()).isEqualTo(first.points());
                assertThat(twice.x()).isCloseTo(first.x(), within(1e-12));
                assertThat(twice.z()).isCloseTo(first.z(), within(1e-12));
            }
        }
    }

    @Test
    void aMadeCoresPortsLieOnItsOutside() {
        for (CorePart part : CorePart.shipped()) {
            CoreLayout l = part.core().layout();
            for (PortAt p : l.ports()) {
                boolean onSide = Math.abs(Math.abs(p.x()) - l.width() / 2) < 1e-9;
                boolean onEnd = Math.abs(Math.abs(p.y()) - l.height() / 2) < 1e-9;
                assertThat(onSide || onEnd).as(part.number()).isTrue();
            }
        }
    }

    private static List<Template.Circle> circles(Template t, Template.Layer layer) {
        return t.shapes().stream()
                .filter(s -> s instanceof Template.Circle && s.layer() == layer)
                .map(Template.Circle.class::cast)
                .toList();
    }

    /** Middle of the outline. */
    private static double[] middle(Template t) {
        List<Template.Line> outline = t.shapes().stream()
                .filter(s -> s instanceof Template.Line && s.layer() == Template.Layer.OUTLINE)
                .map(Template.Line.class::cast)
                .toList();
        return new double[] {
            outline.stream().mapToDouble(l -> l.x1() + l.x2()).sum() / (2 * outline.size()),
            outline.stream().mapToDouble(l -> l.y1() + l.y2()).sum() / (2 * outline.size())
        };
    }
}
