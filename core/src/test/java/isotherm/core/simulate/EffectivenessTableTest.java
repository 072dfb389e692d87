package isotherm.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import isotherm.core.exchanger.Effectiveness;
import org.junit.jupiter.api.Test;

class EffectivenessTableTest {
    @Test
    void staysWithinAThousandthOfTheRelation() {
        for (double ntu = 0.01; ntu < 12; ntu *= 1.05) {
            for (double ratio = 0; ratio <= 1; ratio += 0.037) {
                double exact = Effectiveness.crossFlowUnmixed(ntu, ratio);
                assertThat(EffectivenessTable.crossFlow(ntu, ratio)).isCloseTo(exact, within(1e-3 * exact));
            }
        }
    }
}
