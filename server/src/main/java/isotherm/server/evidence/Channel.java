package isotherm.server.evidence;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a column of a log holds, with the units in which loggers write it and the words by which it is known. */
public enum Channel {
    /** Time from the start of the log, s. */
    TIME(
            List.of(Unit.S, Unit.MS, Unit.MIN),
            "time",
            "zeit",
            "temps",
            "tiempo",
            "tempo",
            "tijd",
            "timestamp",
            "elapsed",
            "clock"),
    /** Road speed, km/h. */
    SPEED(
            List.of(Unit.KMH, Unit.MPH, Unit.MPS, Unit.KNOT),
            "speed",
            "velocity",
            "vitesse",
            "geschw",
            "velocidad",
            "velocità",
            "snelheid",
            "vss",
            "spd",
            "v rad",
            "v car",
            "v veh",
            "v fzg",
            "vfzg",
            "vrad",
            "vcar",
            "v gps",
            "gps v"),
    /** Engine speed, 1/min. */
    RPM(
            List.of(Unit.RPM),
            "rpm",
            "engine speed",
            "enginespeed",
            "revs",
            "drehzahl",
            "régime",
            "regime",
            "giri",
            "toerental",
            "nmot",
            "n mot",
            "n motor"),
    /** Brake power, kW. */
    POWER(List.of(Unit.KW, Unit.HP), "power", "leistung", "puissance"),
    /** Oil temperature where the car's sensor sits, °C. */
    OIL(
            List.of(Unit.C, Unit.F, Unit.K),
            "oil temp",
            "oiltemp",
            "oil_t",
            "öltemp",
            "oeltemp",
            "toil",
            "huile",
            "oil",
            "öl",
            "oel",
            "toel",
            "t oel",
            "töl",
            "t öl",
            "aceite",
            "olio"),
    /** Oil temperature behind the cooler, °C. */
    OIL_RETURN(
            List.of(Unit.C, Unit.F, Unit.K),
            "cooler out",
            "oil return",
            "oil out",
            "oil temp out",
            "oil after",
            "oil temp 2"),
    /** Coolant temperature, °C. */
    COOLANT(
            List.of(Unit.C, Unit.F, Unit.K),
            "coolant",
            "water",
            "ect",
            "clt",
            "wasser",
            "kühl",
            "eau",
            "liquide",
            "agua",
            "acqua",
            "refrigerante",
            "tmot",
            "t mot",
            "tkw",
            "t kw",
            "h2o"),
    /** Intake air temperature, °C. */
    INTAKE(
            List.of(Unit.C, Unit.F, Unit.K),
            "intake",
            "iat",
            "charge",
            "ansaug",
            "admission",
            "tans",
            "t ans",
            "admisión",
            "aspirazione"),
    /** Outside air temperature, °C. */
    AMBIENT(
            List.of(Unit.C, Unit.F, Unit.K),
            "ambient",
            "outside",
            "air temp",
            "außen",
            "aussen",
            "umg",
            "tumg",
            "t umg",
            "oat",
            "amb",
            "extérieur",
            "exterieur",
            "exterior",
            "esterna"),
    /** Oil pressure, bar. */
    PRESSURE(
            List.of(Unit.BAR, Unit.PSI, Unit.KPA),
            "oil press",
            "oilpress",
            "oil_p",
            "öldruck",
            "oeldruck",
            "poil",
            "poel",
            "p oel",
            "pöl",
            "p öl",
            "p oil",
            "press oil",
            "pression huile",
            "presión aceite",
            "presion aceite",
            "pressione olio"),
    /** Number of the lap. */
    LAP(List.of(Unit.NONE), "lap", "runde", "tour"),
    /** Latitude, degrees. */
    LATITUDE(List.of(Unit.DEGREE), "lat", "latitude", "breite"),
    /** Longitude, degrees. */
    LONGITUDE(List.of(Unit.DEGREE), "lon", "lng", "longitude", "länge"),
    /** Height above sea level, m. */
    ELEVATION(List.of(Unit.M, Unit.FT), "elev", "altitude", "alt", "height", "höhe", "hoehe", "altitud", "quota"),
    /** Air pressure across the core, Pa. */
    CORE_AIR(
            List.of(Unit.PA, Unit.HPA),
            "core dp",
            "core press",
            "core air",
            "across core",
            "air press core",
            "delta p core");

    /** Units that loggers write; the first of a channel is the one it is kept in. */
    public enum Unit {
        /** Seconds. */
        S(1, 0, "s", "sec", "secs", "seconds"),
        /** Milliseconds. */
        MS(1e-3, 0, "ms", "msec", "milliseconds"),
        /** Minutes. */
        MIN(60, 0, "min", "minutes"),
        /** Kilometres an hour. */
        KMH(1, 0, "km/h", "kmh", "kph", "kmph"),
        /** Miles an hour. */
        MPH(1.609344, 0, "mph"),
        /** Metres a second. */
        MPS(3.6, 0, "m/s", "mps"),
        /** Knots. */
        KNOT(1.852, 0, "kn", "kt", "knots"),
        /** Revolutions a minute. */
        RPM(1, 0, "rpm", "1/min", "min-1", "r/min", "u/min"),
        /** Kilowatts. */
        KW(1, 0, "kw"),
        /** Mechanical horsepower. */
        HP(0.745699872, 0, "hp", "bhp"),
        /** Degrees Celsius. */
        C(1, 0, "c", "°c", "degc", "celsius", "deg c"),
        /** Degrees Fahrenheit. */
        F(1 / 1.8, -32 / 1.8, "f", "°f", "degf", "fahrenheit", "deg f"),
        /** Kelvin. */
        K(1, -273.15, "k", "kelvin"),
        /** Bar. */
        BAR(1, 0, "bar"),
        /** Pounds a square inch. */
        PSI(0.0689475729, 0, "psi", "psig"),
        /** Kilopascals. */
        KPA(0.01, 0, "kpa"),
        /** Pascals. */
        PA(1, 0, "pa"),
        /** Hectopascals. */
        HPA(100, 0, "hpa", "mbar"),
        /** Metres. */
        M(1, 0, "m", "metres", "meters"),
        /** Feet. */
        FT(0.3048, 0, "ft", "feet"),
        /** Degrees of arc. */
        DEGREE(1, 0, "deg", "°", "degrees"),
        /** A pure number. */
        NONE(1, 0, "-", "#");

        private final double factor;
        private final double offset;
        private final List<String> words;

        Unit(double factor, double offset, String... words) {
            this.factor = factor;
            this.offset = offset;
            this.words = List.of(words);
        }

        /**
         * @param value in this unit
         * @return the same in the unit in which its channel is kept
         */
        public double convert(double value) {
            return value * factor + offset;
        }

        /**
         * The unit at the end of a column's name: "VSS mph", "IAT F", "speed_kmh", "oilTempC".
         *
         * @param name a column's name, without one in brackets
         * @return the unit and the name before it; empty when there is none
         */
        public static Optional<Ending> ending(String name) {
            String plain = name.strip();
            Ending best = null;
            for (Unit u : values()) {
                for (String w : u.words) {
                    int at = plain.length() - w.length();
                    boolean there = at > 0
                            && plain.regionMatches(true, at, w, 0, w.length())
                            && ends(plain.charAt(at - 1), plain.charAt(at), w.length());
                    if (there && (best == null || w.length() > best.length())) {
                        best = new Ending(u, plain.substring(0, at).strip(), w.length());
                    }
                }
            }
            return Optional.ofNullable(best);
        }

        /** After a separator, or as a capital after small letters; a single letter only as a capital or after a blank. */
        private static boolean ends(char before, char first, int length) {
            boolean separated = !Character.isLetterOrDigit(before);
            boolean capital =
                    Character.isUpperCase(first) && (Character.isLowerCase(before) || Character.isDigit(before));
            return separated || capital && length >= 1;
        }

        /**
         * A unit at the end of a name.
         *
         * @param unit the unit
         * @param name the name before it
         * @param length number of its letters
         */
        public record Ending(Unit unit, String name, int length) {}

        /**
         * @param word a unit as loggers write it
         * @return the unit, if it is known
         */
        public static Optional<Unit> named(String word) {
            String w = word.strip().toLowerCase(Locale.ROOT);
            for (Unit u : values()) {
                if (u.words.contains(w)) {
                    return Optional.of(u);
                }
            }
            return Optional.empty();
        }
    }

    /** An engine on the overrun is driven by the car, kW. */
    private static final double MOST_POWER = 1500;

    private final List<Unit> units;
    private final List<String> words;

    Channel(List<Unit> units, String... words) {
        this.units = units;
        this.words = List.of(words);
    }

    /** @return units in which it may be written; it is kept in the first */
    public List<Unit> units() {
        return units;
    }

    /**
     * What a logger wrote, without what no car does: a lost satellite gives a jump of hundreds of kilometres an hour, an open sensor
     * the end of its scale, a standing car a little less than nothing.
     *
     * @param value a reading in the unit in which this channel is kept
     * @return the reading; NaN when no car shows it
     */
    public double cleaned(double value) {
        return switch (this) {
            case TIME -> value;
            case SPEED -> notLessThanNothing(value, 20, 450);
            case RPM -> notLessThanNothing(value, 200, 20_000);
            case POWER -> within(value, -MOST_POWER, MOST_POWER);
            case OIL, OIL_RETURN -> within(value, -40, 180);
            case COOLANT -> within(value, -40, 150);
            case INTAKE -> within(value, -40, 250);
            case AMBIENT -> within(value, -40, 70);
            case PRESSURE -> notLessThanNothing(value, 1, 30);
            case CORE_AIR -> notLessThanNothing(value, 100, 5000);
            case LAP -> within(value, 0, 1e6);
            case LATITUDE -> within(value, -90, 90);
            case LONGITUDE -> within(value, -180, 180);
            case ELEVATION -> within(value, -430, 6000);
        };
    }

    private static double notLessThanNothing(double value, double noise, double most) {
        return within(value, -noise, most) < 0 ? 0 : within(value, -noise, most);
    }

    /** Plus nothing, so that a negative zero becomes a plain one. */
    private static double within(double value, double least, double most) {
        return value >= least && value <= most ? value + 0.0 : Double.NaN;
    }

    /**
     * How well a column's name says that it is this channel.
     *
     * @param name the column's name
     * @return 0 for not at all; longer matches count more
     */
    public int match(String name) {
        String n = " "
                + name.toLowerCase(Locale.ROOT).replaceAll("[\\s_,.:/-]+", " ").strip() + " ";
        String joined = n.replace(" ", "");
        // A time alone is often called by its symbol, which other names begin with.
        int best = this == TIME && joined.equals("t") ? 1 : 0;
        for (String w : words) {
            String plain = w.replace('_', ' ');
            // Short words only count as whole words: "lat" is not in "plate".
            boolean there =
                    w.length() <= 3 ? n.contains(" " + plain + " ") : n.contains(plain) || joined.contains(plain);
            if (there) {
                best = Math.max(best, w.length());
            }
        }
        return best;
    }
}
