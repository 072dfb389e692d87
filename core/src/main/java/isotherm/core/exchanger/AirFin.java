package isotherm.core.exchanger;

import java.util.List;

/** A fin on the air side with its correlation. */
sealed interface AirFin permits LouvredFin.Worked, OffsetStrip, PlainFinTubes {
    /** @return length that its Reynolds number is made with, m */
    double reynoldsLength();

    /**
     * @param re Reynolds number
     * @return Colburn factor j
     */
    double colburn(double re);

    /**
     * @param re Reynolds number
     * @return Fanning friction factor f
     */
    double friction(double re);

    /** @return each dimension against the range for which the correlation was fitted */
    List<Validity> dimensions();

    /** @return what its correlation was fitted for */
    Fit fit();

    /**
     * What a correlation was fitted for.
     *
     * @param low lowest Reynolds number
     * @param high highest Reynolds number
     * @param source where it is published
     */
    record Fit(double low, double high, String source) {}
}
