package isotherm.core.sheetmetal;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.core.airflow.Place;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreLayout.Pointing;
import isotherm.core.nose.Rect;
import isotherm.core.simulate.DemoCars;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The sides of a shroud: closed all round, from all of the opening to all of the core. */
class ShroudTest {
    private static final Core CORE =
            DemoCars.design(16, Place.LOWER_GRILLE_AHEAD).cooler().orElseThrow().core();
    private static final List<Shroud.Side> SIDES = Shroud.sides(new Rect(-0.25, 0.3, 0.5, 0.1), CORE);

    @Test
    void itIsClosedAtEveryCorner() {
        Set<List<Vector3D>> corners = new HashSet<>();
        for (Shroud.Side s : SIDES) {
            corners.add(List.of(s.carFrom(), s.coreFrom()));
            corners.add(List.of(s.carTo(), s.coreTo()));
        }
        assertThat(SIDES).extracting(Shroud.Side::mark).containsExactly("S1", "S2", "S3", "S4");
        assertThat(corners).as("each shared by two sides").hasSize(4);
    }

    @Test
    void theUpperSideJoinsUpperEdges() {
        Shroud.Side upper = SIDES.get(0);
        assertThat(upper.faces()).isEqualTo(Pointing.UP);
        assertThat(upper.carFrom()).isEqualTo(new Vector3D(-0.25, 0.4, 0));
        assertThat(upper.carTo()).isEqualTo(new Vector3D(0.25, 0.4, 0));
        assertThat(upper.coreFrom()).isEqualTo(new Vector3D(-CORE.outsideWidth() / 2, CORE.outsideHeight() / 2, 0));
        assertThat(upper.coreTo()).isEqualTo(new Vector3D(CORE.outsideWidth() / 2, CORE.outsideHeight() / 2, 0));
    }
}
