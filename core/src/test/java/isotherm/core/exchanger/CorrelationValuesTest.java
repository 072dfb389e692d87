package isotherm.core.exchanger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Figures worked out from the published equations, apart from this code. */
class CorrelationValuesTest {
    private static void same(double is, double worked) {
        assertThat(is).isCloseTo(worked, within(1e-6 * worked));
    }

    /** Wang, Chi and Chang 2000, equations for one row of tubes and for more. */
    @ParameterizedTest
    @CsvSource({
        "1, 500, 0.042500399, 0.09530231",
        "1, 3000, 0.014346538, 0.034620013",
        "2, 500, 0.020870492, 0.097573644",
        "2, 3000, 0.0047251151, 0.035686628",
        "4, 500, 0.020118706, 0.098729531",
        "4, 3000, 0.005699603, 0.036232196"
    })
    void plainFinsOnTubes(int rows, double re, double j, double f) {
        PlainFinTubes tubes = new PlainFinTubes(9.74e-3, 19e-3, 16.5e-3, 2e-3, rows, 3e-3);
        same(tubes.colburn(re), j);
        same(tubes.friction(re), f);
        assertThat(tubes.reynoldsLength()).isEqualTo(9.74e-3);
    }

    /** Below the fit j goes on as Re^-½ and f as 1/Re, from the figures at its edge. */
    @Test
    void plainFinsBelowTheirFit() {
        PlainFinTubes tubes = new PlainFinTubes(9.74e-3, 19e-3, 16.5e-3, 2e-3, 2, 3e-3);
        same(tubes.colburn(75), 2 * tubes.colburn(300));
        same(tubes.friction(75), 4 * tubes.friction(300));
    }

    /** Manglik and Bergles 1995. */
    @ParameterizedTest
    @CsvSource({"300, 0.025154437, 0.11433648", "3000, 0.0083940765, 0.045262612"})
    void offsetStrips(double re, double j, double f) {
        OffsetStrip strip = new OffsetStrip(1.4e-3, 2.4e-3, 0.2e-3, 3e-3);
        same(strip.colburn(re), j);
        same(strip.friction(re), f);
        same(strip.hydraulicDiameter(), 0.0016772047);
    }

    /** Churchill 1977, smooth in transition and rough when turbulent. */
    @ParameterizedTest
    @CsvSource({"3000, 0, 0.042974656", "20000, 0.002, 0.030116416"})
    void churchill(double re, double roughness, double darcy) {
        same(TubeFlow.churchill(re, roughness), darcy);
        same(TubeFlow.fanning(3000), 0.042974656 / 4);
    }

    /** Hausen 1943, Gnielinski 1976, and between them the straight line from 2300 to 4000. */
    @ParameterizedTest
    @CsvSource({"1000, 150, 0.03, 28.914724", "3000, 150, 0.03, 59.563519", "10000, 10, 0.03, 90.781062"})
    void nusselt(double re, double prandtl, double diameterOverLength, double nu) {
        same(TubeFlow.nusselt(re, prandtl, diameterOverLength), nu);
    }

    @Test
    void aFinThatIsWorkedOutOnceIsTheSameFin() {
        LouvredFin fin = new LouvredFin(1.6e-3, 4.3e-3, 0.08e-3, 1.2e-3, 3.655e-3, 27, 7.7e-3, 3.4e-3, 50e-3);
        LouvredFin.Worked worked = fin.worked();
        for (double re : new double[] {10, 30, 80, 130, 180, 230, 900}) {
            same(worked.colburn(re), fin.colburn(re));
            same(worked.friction(re), fin.friction(re));
        }
        assertThat(worked.reynoldsLength()).isEqualTo(1.2e-3);
    }

    /** Below 230 friction is the low range's, but never less than what the high range begins with. */
    @Test
    void louvredFinsWhereTheRangesMeet() {
        LouvredFin fin = new LouvredFin(1.6e-3, 4.3e-3, 0.08e-3, 1.2e-3, 3.655e-3, 27, 7.7e-3, 3.4e-3, 50e-3);
        same(fin.friction(130), fin.friction(230));
        same(fin.friction(40), fin.lowCoefficient() * fin.lowShape(40));
        same(fin.friction(15), 2 * fin.friction(30));
    }
}
