package isotherm.core.nose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.exchanger.Core;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class TemplateTest {
    private static final Core CORE = Core.stackedPlate(19, 0.28, 0.05);
    private static final List<Placement.Mount> MOUNTS = List.of(
            new Placement.Mount(-0.17, 0.06, 6.5e-3, Placement.Method.BOLT, true),
            new Placement.Mount(0.17, 0.06, 6.5e-3, Placement.Method.BOLT, true),
            new Placement.Mount(0, -0.09, 8.5e-3, Placement.Method.CLAMP, true));
    private static final Placement PLACED = new Placement(0.02, 0.3, 0.18, 0, true, true, false, MOUNTS);

    private static List<Template.Line> lines(Template t, Template.Layer layer) {
        return t.shapes().stream()
                .filter(Template.Line.class::isInstance)
                .map(Template.Line.class::cast)
                .filter(l -> l.layer() == layer)
                .toList();
    }

    private static double span(List<Template.Line> lines, boolean across) {
        return lines.stream()
                        .mapToDouble(l -> across ? Math.max(l.x1(), l.x2()) : Math.max(l.y1(), l.y2()))
                        .max()
                        .orElseThrow()
                - lines.stream()
                        .mapToDouble(l -> across ? Math.min(l.x1(), l.x2()) : Math.min(l.y1(), l.y2()))
                        .min()
                        .orElseThrow();
    }

    @Test
    void outlineAndHolesAreAtTrueSize() {
        Template t = Template.of("Test", CORE, PLACED, Optional.empty(), OptionalDouble.empty());
        List<Template.Line> outline = lines(t, Template.Layer.OUTLINE);
        assertThat(span(outline, true)).isCloseTo(CORE.outsideWidth() * 1e3, within(1e-9));
        assertThat(span(outline, false)).isCloseTo(CORE.outsideHeight() * 1e3, within(1e-9));
        List<Template.Circle> holes = t.shapes().stream()
                .filter(s -> s instanceof Template.Circle && s.layer() == Template.Layer.HOLE)
                .map(Template.Circle.class::cast)
                .toList();
        assertThat(holes).extracting(Template.Circle::diameter).containsExactly(6.5, 6.5, 8.5);
        assertThat(holes.get(1).x() - holes.get(0).x()).isCloseTo(340, within(1e-9));
        assertThat(holes.get(0).y() - holes.get(2).y()).isCloseTo(150, within(1e-9));
    }

    @Test
    void theBarIsThreeHundredMillimetresAndEverythingLiesOnTheDrawing() {
        Template t = Template.of("Test", CORE, PLACED, Optional.empty(), OptionalDouble.empty());
        assertThat(lines(t, Template.Layer.NOTE))
                .anySatisfy(l -> assertThat(l.x2() - l.x1()).isCloseTo(Template.BAR, within(1e-9)));
        for (Template.Shape s : t.shapes()) {
            if (s instanceof Template.Line l) {
                assertThat(Math.min(l.x1(), l.x2())).isGreaterThanOrEqualTo(0);
                assertThat(Math.max(l.x1(), l.x2())).isLessThanOrEqualTo(t.widthMm());
                assertThat(Math.max(l.y1(), l.y2())).isLessThanOrEqualTo(t.heightMm());
            }
        }
    }

    @Test
    void theOpeningOfTheShroudStandsWhereItIsInTheNose() {
        Nose nose = new Nose(
                List.of(new Nose.Opening("mouth", new Rect(-0.35, 0.2, 0.7, 0.2), 0)), List.of(), 0.05, 0.15, false);
        Template t = Template.of("Test", CORE, PLACED, Optional.of(nose), OptionalDouble.empty());
        List<Template.Line> shroud = lines(t, Template.Layer.SHROUD);
        assertThat(span(shroud, true)).isCloseTo(700, within(1e-6));
        assertThat(span(shroud, false)).isCloseTo(200, within(1e-6));
        double outlineLeft = lines(t, Template.Layer.OUTLINE).get(0).x1();
        double shroudLeft = shroud.get(0).x1();
        // The core's left edge is 20 mm right of centre less half its width; the opening begins at −350 mm.
        assertThat(outlineLeft - shroudLeft).isCloseTo(20 - CORE.outsideWidth() * 500 + 350, within(1e-6));
    }
}
