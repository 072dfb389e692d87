package isotherm.core.fluid;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** An engine oil, described by what its data sheet gives. */
public final class Oil {
    /** Thermal expansion of mineral and synthetic engine oils, share of the density at 15 °C per K (default). */
    public static final double EXPANSION_PER_K = 6.5e-4;

    /** The grades that ship, with typical data-sheet values; a can of the same grade may differ by 10 %. */
    public static final List<Oil> GRADES = List.of(
            of("0W-20", 46, 8.6, 845),
            of("5W-30", 66, 11.5, 852),
            of("5W-40", 84, 14.0, 853),
            of("10W-40", 98, 14.5, 865),
            of("10W-60", 160, 23.5, 855),
            of("15W-40", 108, 14.5, 878),
            of("20W-50", 170, 18.8, 885));

    private final String name;
    private final double kv40Cst;
    private final double kv100Cst;
    private final double density15;
    private final Viscosity viscosity;

    private Oil(String name, double kv40Cst, double kv100Cst, double density15) {
        this.name = name;
        this.kv40Cst = kv40Cst;
        this.kv100Cst = kv100Cst;
        this.density15 = density15;
        this.viscosity = Viscosity.through(kv40Cst, Units.ZERO_CELSIUS + 40, kv100Cst, Units.ZERO_CELSIUS + 100);
    }

    /**
     * @param name grade or own name
     * @param kv40Cst kinematic viscosity at 40 °C, cSt
     * @param kv100Cst kinematic viscosity at 100 °C, cSt, below KV40
     * @param density15 density at 15 °C, kg/m³, 700 to 1000
     * @return the oil
     * @throws IllegalArgumentException when the viscosity does not fall with temperature
     */
    public static Oil of(String name, double kv40Cst, double kv100Cst, double density15) {
        return new Oil(name, kv40Cst, kv100Cst, density15);
    }

    /**
     * @param grade a grade such as {@code 5W-40}
     * @return the shipped oil of that grade, if there is one
     */
    public static Optional<Oil> grade(String grade) {
        return GRADES.stream().filter(oil -> oil.name.equals(grade)).findFirst();
    }

    /** @return grade or own name */
    public String name() {
        return name;
    }

    /** Most that a pump can draw, Pa·s. Source: SAE J300, low-temperature pumping viscosity. */
    private static final double PUMPABLE = 60;

    private static final Pattern WINTER = Pattern.compile("\\b(\\d{1,2})W\\b");

    /**
     * The coldest oil that an engine's pump can still draw. A grade says it by its winter number (SAE J300: xW pumps at x − 40 °C);
     * for an oil without one it is where its viscosity, drawn out by ASTM D341, reaches SAE J300's 60 Pa·s. Wax can make the real
     * one warmer.
     *
     * @return temperature, K
     */
    public double pumpableK() {
        Matcher winter = WINTER.matcher(name);
        if (winter.find()) {
            return Units.kelvin(Integer.parseInt(winter.group(1)) - 40.0);
        }
        double low = Units.kelvin(-60);
        double high = Units.kelvin(40);
        while (high - low > 0.01) {
            double mid = (low + high) / 2;
            if (dynamicViscosity(mid) > PUMPABLE) {
                low = mid;
            } else {
                high = mid;
            }
        }
        return high;
    }

    /** @return kinematic viscosity at 40 °C, cSt */
    public double kv40Cst() {
        return kv40Cst;
    }

    /** @return kinematic viscosity at 100 °C, cSt */
    public double kv100Cst() {
        return kv100Cst;
    }

    /** @return density at 15 °C, kg/m³ */
    public double density15() {
        return density15;
    }

    /**
     * @param kelvin temperature, K
     * @return kinematic viscosity, m²/s
     */
    public double kinematicViscosity(double kelvin) {
        return viscosity.cstAt(kelvin) * 1e-6;
    }

    /**
     * @param kelvin temperature, K
     * @return dynamic viscosity, Pa·s
     */
    public double dynamicViscosity(double kelvin) {
        return kinematicViscosity(kelvin) * density(kelvin);
    }

    /**
     * Density, linear in temperature.
     *
     * @param kelvin temperature, K
     * @return density, kg/m³
     */
    public double density(double kelvin) {
        return density15 * (1 - EXPANSION_PER_K * (kelvin - Units.ZERO_CELSIUS - 15));
    }

    /**
     * Specific heat. Source: Cragoe, Thermal properties of petroleum products, 1929.
     *
     * @param kelvin temperature, K, fitted for 255 to 480 K
     * @return specific heat at constant pressure, J/(kg·K)
     */
    public double specificHeat(double kelvin) {
        return (1685 + 3.4 * (kelvin - Units.ZERO_CELSIUS)) / Math.sqrt(specificGravity());
    }

    /**
     * Thermal conductivity. Source: Cragoe, Thermal properties of petroleum products, 1929.
     *
     * @param kelvin temperature, K, fitted for 255 to 480 K
     * @return thermal conductivity, W/(m·K)
     */
    public double conductivity(double kelvin) {
        return 0.1172 * (1 - 5.4e-4 * (kelvin - Units.ZERO_CELSIUS)) / specificGravity();
    }

    /**
     * @param kelvin temperature, K
     * @return Prandtl number
     */
    public double prandtl(double kelvin) {
        return dynamicViscosity(kelvin) * specificHeat(kelvin) / conductivity(kelvin);
    }

    private double specificGravity() {
        return density15 / 999.0;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Oil oil
                && oil.name.equals(name)
                && oil.kv40Cst == kv40Cst
                && oil.kv100Cst == kv100Cst
                && oil.density15 == density15;
    }

    @Override
    public int hashCode() {
        return Double.hashCode(kv40Cst) * 31 + Double.hashCode(kv100Cst) + name.hashCode();
    }

    @Override
    public String toString() {
        return name;
    }
}
