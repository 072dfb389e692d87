package isotherm.core.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What makes a joint tight, what does not and why, and how it is tightened. */
class JointTest {
    private static End end(Joint joint, String size, boolean male) {
        return new End(joint, size, male);
    }

    @ParameterizedTest
    @EnumSource(Joint.class)
    void anEndMatesWithItsCounterpartAlone(Joint joint) {
        End one = end(joint, "-10", true);
        assertThat(one.mates(one.counterpart())).isTrue();
        assertThat(one.counterpart().counterpart()).isEqualTo(one);
        assertThat(one.mates(one)).isFalse();
        assertThat(one.whyNot(one)).isEqualTo("both are male");
        assertThat(one.counterpart().whyNot(one.counterpart())).isEqualTo("both are female");
        End other = end(joint, "-8", false);
        assertThat(one.mates(other)).isFalse();
        assertThat(one.whyNot(other)).contains("-10").contains("-8");
        for (Joint j : Joint.values()) {
            assertThat(one.mates(end(j, "-10", false))).isEqualTo(j == joint);
        }
    }

    @Test
    void aFlareInAnORingBossIsWarnedOfSinceItsThreadsFit() {
        End flare = end(Joint.FLARE_37, "-10", true);
        End boss = end(Joint.O_RING_BOSS, "-10", false);
        assertThat(flare.whyNot(boss)).contains("threads are the same").contains("never meet");
        assertThat(boss.whyNot(flare)).contains("threads are the same");
        assertThat(flare.whyNot(end(Joint.TAPER, "1/2", false))).doesNotContain("threads are the same");
        assertThat(flare.whyNot(end(Joint.O_RING_BOSS, "-8", false))).doesNotContain("threads are the same");
    }

    @ParameterizedTest
    @EnumSource(Joint.class)
    void everyJointSaysHowItSealsAndHowItIsTightened(Joint joint) {
        assertThat(joint.words()).isNotBlank();
        Tightening t = Tightening.of(end(joint, "-10", true));
        assertThat(t.source()).isNotBlank();
        assertThat(t.mostTurn()).isGreaterThanOrEqualTo(t.leastTurn());
        t.torque().ifPresent(r -> assertThat(r.high()).isGreaterThan(r.low()));
        assertThat(end(joint, "-10", true).words()).contains("-10").contains("male");
        assertThat(end(joint, "-10", false).words()).contains("female");
    }

    /** FAA Advisory Circular 43.13-1B, table 9-2, aluminium: 200 to 350 inch pounds for a line of 5/8 inch, and so on. */
    @ParameterizedTest
    @CsvSource({"-6, 8.5, 14.1", "-8, 16.9, 28.2", "-10, 22.6, 39.5", "-12, 33.9, 56.5"})
    void flaresAreTightenedByThePublishedTable(String size, double low, double high) {
        Tightening t = Tightening.of(end(Joint.FLARE_37, size, false));
        assertThat(t.torque().orElseThrow().low()).isEqualTo(low, within(0.06));
        assertThat(t.torque().orElseThrow().high()).isEqualTo(high, within(0.06));
        assertThat(t.source()).contains("43.13-1B");
    }

    @Test
    void aSizeWithoutATableIsTightenedByItsTurns() {
        Tightening t = Tightening.of(end(Joint.FLARE_37, "-20", true));
        assertThat(t.torque()).isEmpty();
        assertThat(t.wrench()).isZero();
        assertThat(t.leastTurn()).isPositive();
    }

    @Test
    void aTaperIsTurnedFurtherThanAnythingElseAndAPushOnNotAtAll() {
        double taper = Tightening.of(end(Joint.TAPER, "1/2", true)).leastTurn();
        for (Joint j : Joint.values()) {
            if (j != Joint.TAPER) {
                assertThat(Tightening.of(end(j, "-10", true)).mostTurn()).isLessThan(taper);
            }
        }
        assertThat(Tightening.of(end(Joint.PUSH_ON, "-10", true)).mostTurn()).isZero();
    }

    @ParameterizedTest
    @CsvSource({"-6, 17.46", "-8, 22.2", "-10, 25.4", "-12, 31.75"})
    void wrenchesHaveTheWidthOfTheNut(String size, double mm) {
        assertThat(Tightening.of(end(Joint.FLARE_37, size, true)).wrench() * 1e3)
                .isEqualTo(mm, within(0.03));
    }
}
