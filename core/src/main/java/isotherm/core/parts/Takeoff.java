package isotherm.core.parts;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Where the oil is taken from the engine and given back.
 *
 * @param maker its maker
 * @param number the maker's number
 * @param kind what it is
 * @param thread thread of its centre bolt, or of the factory circuit that it goes on
 * @param sealInner inner diameter of its gasket, m
 * @param sealOuter outer diameter of its gasket, m
 * @param height what it adds to the stack, m
 * @param diameter its own, m
 * @param port its two ports
 * @param spacing angle from the port that gives oil to the one that takes it back, rad
 * @param gaugePorts whether senders for temperature and pressure find a place
 * @param thermostat whether a thermostat is in it
 * @param heads velocity heads lost in it, on the hose's bore
 * @param price price in the garage's currency
 * @param mass kg
 * @param figure what its maker says of tightening it
 * @param threadDepth depth of the thread that takes the engine's stud, m, where that is known: a longer stud bottoms out
 */
public record Takeoff(
        String maker,
        String number,
        Kind kind,
        String thread,
        double sealInner,
        double sealOuter,
        double height,
        double diameter,
        End port,
        double spacing,
        boolean gaugePorts,
        boolean thermostat,
        double heads,
        double price,
        double mass,
        Optional<MakersFigure> figure,
        OptionalDouble threadDepth) {
    /**
     * Without a figure of its maker.
     *
     * @param maker its maker
     * @param number the maker's number
     * @param kind what it is
     * @param thread thread of its centre bolt, or of the factory circuit that it goes on
     * @param sealInner inner diameter of its gasket, m
     * @param sealOuter outer diameter of its gasket, m
     * @param height what it adds to the stack, m
     * @param diameter its own, m
     * @param port its two ports
     * @param spacing angle from the port that gives oil to the one that takes it back, rad
     * @param gaugePorts whether senders for temperature and pressure find a place
     * @param thermostat whether a thermostat is in it
     * @param heads velocity heads lost in it, on the hose's bore
     * @param price price in the garage's currency
     * @param mass kg
     */
    public Takeoff(
            String maker,
            String number,
            Kind kind,
            String thread,
            double sealInner,
            double sealOuter,
            double height,
            double diameter,
            End port,
            double spacing,
            boolean gaugePorts,
            boolean thermostat,
            double heads,
            double price,
            double mass) {
        this(
                maker,
                number,
                kind,
                thread,
                sealInner,
                sealOuter,
                height,
                diameter,
                port,
                spacing,
                gaugePorts,
                thermostat,
                heads,
                price,
                mass,
                Optional.empty(),
                OptionalDouble.empty());
    }

    /**
     * @param other what its maker says of tightening it
     * @return the same part with it
     */
    public Takeoff with(MakersFigure other) {
        return new Takeoff(
                maker,
                number,
                kind,
                thread,
                sealInner,
                sealOuter,
                height,
                diameter,
                port,
                spacing,
                gaugePorts,
                thermostat,
                heads,
                price,
                mass,
                Optional.of(other),
                threadDepth);
    }

    /** What a takeoff is. */
    public enum Kind {
        /** A plate between block and filter. */
        SANDWICH_PLATE("sandwich plate", true),
        /** A cover of the filter housing with ports. */
        HOUSING_ADAPTOR("filter housing adaptor", false),
        /** A block on the take-off of a factory circuit. */
        DISTRIBUTION_BLOCK("distribution block", false),
        /** A plate in the filter's place; the filter moves to a head of its own in the line. */
        REMOTE_FILTER("remote filter", false);

        private final String words;
        private final boolean underFilter;

        Kind(String words, boolean underFilter) {
            this.words = words;
            this.underFilter = underFilter;
        }

        /** @return its name in words */
        public String words() {
            return words;
        }

        /** @return whether the filter still hangs below it */
        public boolean underFilter() {
            return underFilter;
        }
    }

    /**
     * @param thread a thread such as {@code M20x1.5} or {@code 3/4-16}
     * @return its major diameter, m; 0 when it cannot be read
     */
    public static double majorDiameter(String thread) {
        try {
            if (thread.startsWith("M")) {
                return Double.parseDouble(thread.substring(1).split("x")[0]) * 1e-3;
            }
            String[] fraction = thread.split("-")[0].split("/");
            return Double.parseDouble(fraction[0])
                    / (fraction.length > 1 ? Double.parseDouble(fraction[1]) : 1)
                    * 25.4e-3;
        } catch (NumberFormatException e) {
            return 0;
        }
    }
}
