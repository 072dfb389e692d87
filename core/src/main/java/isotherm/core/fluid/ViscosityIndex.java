package isotherm.core.fluid;

/**
 * Viscosity index, and the way back from an index to the viscosity at 40 °C.
 *
 * <p>Source: ASTM D2270, procedures A (up to 100) and B (100 and above), with the standard's quadratic fits to the
 * reference oils L and H. Range: 2 cSt and more at 100 °C.
 */
public final class ViscosityIndex {
    /** Lower bound of KV100 in cSt, then a, b, c of L and d, e, f of H in aY² + bY + c. */
    private static final double[][] REFERENCE = {
        {2.0, 1.14673, 1.7576, -0.109, 0.84155, 1.5521, -0.077},
        {3.8, 3.38095, -15.4952, 33.196, 0.78571, 1.7929, -0.183},
        {4.4, 2.5000, -7.2143, 13.812, 0.82143, 1.5679, 0.119},
        {5.0, 0.10100, 16.6350, -45.469, 0.04985, 9.1613, -18.557},
        {6.4, 3.35714, -23.5643, 78.466, 0.22619, 7.7369, -16.656},
        {7.0, 0.01191, 21.4750, -72.870, 0.79762, -0.7321, 14.610},
        {7.7, 0.41858, 16.1558, -56.040, 0.05794, 10.5156, -28.240},
        {9.0, 0.88779, 7.5527, -16.600, 0.26665, 6.7015, -10.810},
        {12.0, 0.76720, 10.7972, -38.180, 0.20073, 8.4658, -22.490},
        {15.0, 0.97305, 5.3135, -2.200, 0.28889, 5.9741, -4.930},
        {18.0, 0.97256, 5.2500, -0.980, 0.24504, 7.4160, -16.730},
        {22.0, 0.91413, 7.4759, -21.820, 0.20323, 9.1267, -34.230},
        {28.0, 0.87031, 9.7157, -50.770, 0.18411, 10.1015, -46.750},
        {40.0, 0.84703, 12.6752, -133.310, 0.17029, 11.4866, -80.620},
        {55.0, 0.85921, 11.1009, -83.190, 0.17130, 11.3680, -76.940},
        {70.0, 0.83531, 14.6731, -216.246, 0.16841, 11.8493, -96.947},
    };

    private ViscosityIndex() {}

    /**
     * @param kv40Cst kinematic viscosity at 40 °C, cSt
     * @param kv100Cst kinematic viscosity at 100 °C, cSt, 2 or more
     * @return the viscosity index, not rounded
     * @throws IllegalArgumentException when KV100 is under 2 cSt or not below KV40
     */
    public static double of(double kv40Cst, double kv100Cst) {
        if (kv100Cst >= kv40Cst) {
            throw new IllegalArgumentException("KV100 has to be below KV40");
        }
        double[] row = row(kv100Cst);
        double h = h(row, kv100Cst);
        if (kv40Cst > h) {
            double l = l(row, kv100Cst);
            return (l - kv40Cst) / (l - h) * 100;
        }
        double n = Math.log(h / kv40Cst) / Math.log(kv100Cst);
        return (Math.pow(10, n) - 1) / 0.00715 + 100;
    }

    /**
     * The viscosity at 40 °C of an oil that is sold by its KV100 and its viscosity index.
     *
     * @param kv100Cst kinematic viscosity at 100 °C, cSt, 2 or more
     * @param viscosityIndex viscosity index, 0 to 400
     * @return kinematic viscosity at 40 °C, cSt
     * @throws IllegalArgumentException when KV100 is under 2 cSt
     */
    public static double kv40(double kv100Cst, double viscosityIndex) {
        double[] row = row(kv100Cst);
        double h = h(row, kv100Cst);
        if (viscosityIndex <= 100) {
            double l = l(row, kv100Cst);
            return l - viscosityIndex / 100 * (l - h);
        }
        return h / Math.pow(kv100Cst, Math.log10(1 + 0.00715 * (viscosityIndex - 100)));
    }

    private static double[] row(double kv100Cst) {
        if (!(kv100Cst >= 2)) {
            throw new IllegalArgumentException("The viscosity index is defined from 2 cSt at 100 °C, got " + kv100Cst);
        }
        int i = REFERENCE.length - 1;
        while (kv100Cst < REFERENCE[i][0]) {
            i--;
        }
        return REFERENCE[i];
    }

    private static double l(double[] row, double y) {
        return (row[1] * y + row[2]) * y + row[3];
    }

    private static double h(double[] row, double y) {
        return (row[4] * y + row[5]) * y + row[6];
    }
}
