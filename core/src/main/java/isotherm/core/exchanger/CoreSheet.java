package isotherm.core.exchanger;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A core by its maker's data sheet or by calliper, as far as it differs from what is usual.
 *
 * @param outsideWidth outside width with tanks, m
 * @param outsideHeight outside height with end plates, m
 * @param ports its two ports
 * @param holes holes that it is held by
 * @param testPressure pressure at which its maker tests it, Pa above ambient, where that is known
 */
public record CoreSheet(
        double outsideWidth,
        double outsideHeight,
        List<CoreLayout.PortAt> ports,
        List<CoreLayout.Hole> holes,
        OptionalDouble testPressure) {
    /** Defensive copies; a core has two ports. */
    public CoreSheet {
        ports = List.copyOf(ports);
        holes = List.copyOf(holes);
        if (ports.size() != 2) {
            throw new IllegalArgumentException("A core has two ports, not " + ports.size());
        }
    }

    CoreLayout layout(double depth) {
        return new CoreLayout(outsideWidth, outsideHeight, depth, ports, holes);
    }
}
