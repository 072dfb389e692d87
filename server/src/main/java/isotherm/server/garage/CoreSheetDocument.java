package isotherm.server.garage;

import isotherm.core.exchanger.CoreLayout;
import isotherm.core.exchanger.CoreSheet;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The outside of a core by its data sheet or by calliper, seen from its front.
 *
 * @param outsideWidthMm with tanks
 * @param outsideHeightMm with end plates
 * @param ports both ports
 * @param holes holes that it is held by
 * @param testBar pressure at which its maker tests it
 */
public record CoreSheetDocument(
        @Quantity(value = "outside width with tanks", min = 80, max = 1200, unit = "mm") double outsideWidthMm,
        @Quantity(value = "outside height with end plates", min = 20, max = 900, unit = "mm") double outsideHeightMm,
        @Text(value = "both ports", min = 2, max = 2) List<CorePortDocument> ports,
        @Text(value = "holes that it is held by", max = 12) List<CoreHoleDocument> holes,
        @Missing("not known") @Quantity(value = "test pressure that its maker gives", min = 2, max = 100, unit = "bar")
                Double testBar) {
    /** A port may stand out of the core by so much, mm. */
    private static final double STANDS_OUT = 80;

    /** A port. */
    public record CorePortDocument(
            @Quantity(value = "right of the middle of the face", min = -700, max = 700, unit = "mm") double xMm,
            @Quantity(value = "above the middle of the face", min = -600, max = 600, unit = "mm") double yMm,
            @Quantity(value = "behind the front face", min = -100, max = 250, unit = "mm") double zMm,
            @Text("which way it points") CoreLayout.Pointing points) {}

    /** A hole. */
    public record CoreHoleDocument(
            @Quantity(value = "right of the middle of the face", min = -700, max = 700, unit = "mm") double xMm,
            @Quantity(value = "above the middle of the face", min = -600, max = 600, unit = "mm") double yMm,
            @Quantity(value = "diameter", min = 3, max = 20, unit = "mm") double holeMm) {}

    /**
     * @param path where it stands
     * @param finnedMm finned width of the core
     * @param problems receives what cannot be
     */
    public void check(String path, double finnedMm, List<Problem> problems) {
        if (outsideWidthMm < finnedMm) {
            problems.add(Problem.of(
                    path + "/outsideWidthMm",
                    DocumentReader.number(outsideWidthMm),
                    "The outside is no narrower than the fins, " + DocumentReader.number(finnedMm) + " mm"));
        }
        for (int i = 0; i < ports.size(); i++) {
            within(path + "/ports/" + i, ports.get(i).xMm(), ports.get(i).yMm(), STANDS_OUT, problems);
        }
        for (int i = 0; i < holes.size(); i++) {
            within(path + "/holes/" + i, holes.get(i).xMm(), holes.get(i).yMm(), STANDS_OUT, problems);
        }
    }

    private void within(String path, double xMm, double yMm, double out, List<Problem> problems) {
        bounded(path + "/xMm", xMm, outsideWidthMm / 2 + out, problems);
        bounded(path + "/yMm", yMm, outsideHeightMm / 2 + out, problems);
    }

    private static void bounded(String path, double mm, double most, List<Problem> problems) {
        if (Math.abs(mm) > most) {
            problems.add(new Problem(
                    path,
                    DocumentReader.number(mm),
                    "This is further from the middle of the core than its outside allows: "
                            + DocumentReader.number(-most) + " to " + DocumentReader.number(most) + " mm",
                    -most,
                    most,
                    "mm"));
        }
    }

    /** @return it for {@code core} */
    public CoreSheet toCore() {
        return new CoreSheet(
                outsideWidthMm * 1e-3,
                outsideHeightMm * 1e-3,
                ports.stream()
                        .map(p -> new CoreLayout.PortAt(p.xMm() * 1e-3, p.yMm() * 1e-3, p.zMm() * 1e-3, p.points()))
                        .toList(),
                holes.stream()
                        .map(h -> new CoreLayout.Hole(h.xMm() * 1e-3, h.yMm() * 1e-3, h.holeMm() * 1e-3))
                        .toList(),
                testBar == null ? OptionalDouble.empty() : OptionalDouble.of(testBar * 1e5));
    }

    /**
     * @param l a core as it is measured and drawn
     * @return its document
     */
    public static CoreSheetDocument of(CoreLayout l) {
        return new CoreSheetDocument(
                CoolerMapper.rounded(l.width() * 1e3),
                CoolerMapper.rounded(l.height() * 1e3),
                l.ports().stream()
                        .map(p -> new CorePortDocument(
                                CoolerMapper.rounded(p.x() * 1e3),
                                CoolerMapper.rounded(p.y() * 1e3),
                                CoolerMapper.rounded(p.z() * 1e3),
                                p.points()))
                        .toList(),
                l.holes().stream()
                        .map(h -> new CoreHoleDocument(
                                CoolerMapper.rounded(h.x() * 1e3),
                                CoolerMapper.rounded(h.y() * 1e3),
                                CoolerMapper.rounded(h.diameter() * 1e3)))
                        .toList(),
                null);
    }

    /**
     * @param s a core's data sheet
     * @param depth of the core along the air, m
     * @return its document
     */
    static CoreSheetDocument of(CoreSheet s, double depth) {
        CoreSheetDocument d = of(new CoreLayout(s.outsideWidth(), s.outsideHeight(), depth, s.ports(), s.holes()));
        return new CoreSheetDocument(
                d.outsideWidthMm,
                d.outsideHeightMm,
                d.ports,
                d.holes,
                s.testPressure().isPresent()
                        ? (Double) CoolerMapper.rounded(s.testPressure().getAsDouble() / 1e5)
                        : null);
    }
}
