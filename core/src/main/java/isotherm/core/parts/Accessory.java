package isotherm.core.parts;

/**
 * What may sit in the loop beside core and hoses.
 *
 * @param kind what it is
 * @param volume oil that it holds, m³
 * @param valve how it is shut off
 * @param detail what is known of it beside that
 */
public record Accessory(Kind kind, double volume, Valve valve, Detail detail) {
    /** Velocity heads that a swing check valve costs the line (default). */
    public static final double CHECK_VALVE = 2.5;
    /** Velocity heads that the element of a fine filter costs when all oil goes through it (default). */
    public static final double SERIES_ELEMENT = 8;
    /** Discharge coefficient of a sharp-edged restrictor. Source: Idelchik, Handbook of Hydraulic Resistance, 4-19. */
    private static final double DISCHARGE = 0.62;
    /** Air of the surroundings, Pa. */
    private static final double AMBIENT = 101_325;

    /**
     * An accessory of which nothing else is known.
     *
     * @param kind what it is
     * @param volume oil that it holds, m³
     * @param valve how it is shut off
     */
    public Accessory(Kind kind, double volume, Valve valve) {
        this(kind, volume, valve, Detail.NONE);
    }

    /**
     * What is known of an accessory beside its size.
     *
     * @param hose length of the third hose that leads to it, m; 0 where it sits on its tee
     * @param preCharge gas pressure in it before any oil, Pa above ambient; 0 for air as it was shut in
     * @param checkValve whether a check valve keeps its oil from running back through cooler and pump
     * @param way how the oil of a fine filter goes
     * @param restrictor diameter of the hole that limits what goes past the engine, m
     */
    public record Detail(double hose, double preCharge, boolean checkValve, Way way, double restrictor) {
        /** Restrictor that by-pass filters usually have, m (default). */
        public static final double RESTRICTOR = 1.5e-3;
        /** Nothing known. */
        public static final Detail NONE = new Detail(0, 0, false, Way.BESIDE, RESTRICTOR);
    }

    /** How the oil of a fine filter goes. */
    public enum Way {
        /** A share through a restrictor, back to the sump: fine elements stand it, and the engine does without that share. */
        BESIDE,
        /** All of it through the element: nothing is taken from the engine, and a blocked element starves it. */
        IN_LINE
    }

    /** @return velocity heads that it costs the line, on the hose's bore */
    public double heads() {
        double own = kind == Kind.BYPASS_FILTER && detail.way == Way.IN_LINE ? SERIES_ELEMENT : kind.heads();
        return own + (detail.checkValve ? CHECK_VALVE : 0);
    }

    /**
     * Oil in an accumulator under pressure. Its gas has long been at one temperature: Boyle's law.
     *
     * @param pressure of the oil, Pa above ambient, 0 or more
     * @return oil in it, m³; 0 while the pressure is under the pre-charge
     */
    public double holds(double pressure) {
        double gas = volume * (detail.preCharge + AMBIENT) / (pressure + AMBIENT);
        return Math.max(0, volume - gas);
    }

    /**
     * What a by-pass filter takes from the engine through its restrictor.
     *
     * @param pressure of the gallery, Pa above ambient, 0 or more
     * @param density of the oil, kg/m³
     * @return volume flow, m³/s; 0 for anything else
     */
    public double taken(double pressure, double density) {
        if (kind != Kind.BYPASS_FILTER || detail.way != Way.BESIDE) {
            return 0;
        }
        double area = Math.PI / 4 * detail.restrictor * detail.restrictor;
        return DISCHARGE * area * Math.sqrt(2 * pressure / density);
    }

    /** What it is, with the velocity heads that it costs the line. */
    public enum Kind {
        /** A store of oil under pressure that fills the galleries before the start and in long corners; tees in after the cooler. */
        ACCUMULATOR("accumulator", 0),
        /** A fine filter that a small share of the oil passes beside the loop. */
        BYPASS_FILTER("by-pass filter", 0),
        /** A full-flow filter on a head of its own. */
        REMOTE_HEAD("remote filter head", 4.0);

        private final String words;
        private final double heads;

        Kind(String words, double heads) {
            this.words = words;
            this.heads = heads;
        }

        /** @return its name in words */
        public String words() {
            return words;
        }

        /** @return velocity heads that it costs the line (default) */
        public double heads() {
            return heads;
        }
    }

    /** How it is shut off. */
    public enum Valve {
        /** Nothing shuts it off. */
        NONE,
        /** A lever. */
        MANUAL,
        /** A solenoid on the ignition. */
        ELECTRIC
    }
}
