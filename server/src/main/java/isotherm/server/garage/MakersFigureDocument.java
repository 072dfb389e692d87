package isotherm.server.garage;

import isotherm.core.parts.MakersFigure;
import isotherm.core.parts.Tightening;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.Optional;

/**
 * What a maker says of tightening a part.
 *
 * @param torqueLowNm least torque
 * @param torqueHighNm greatest torque
 * @param turnLowDeg least turn after contact
 * @param turnHighDeg greatest turn after contact
 * @param oiled whether it holds for an oiled thread
 * @param source where it is from
 * @param retorque when it is tightened again
 */
public record MakersFigureDocument(
        @Missing("none given") @Quantity(value = "least torque", min = 1, max = 400, unit = "Nm") Double torqueLowNm,
        @Missing("none given") @Quantity(value = "greatest torque", min = 1, max = 400, unit = "Nm")
                Double torqueHighNm,
        @Missing("none given") @Quantity(value = "least turn after contact", min = 5, max = 1440, unit = "°")
                Double turnLowDeg,
        @Missing("none given") @Quantity(value = "greatest turn after contact", min = 5, max = 1440, unit = "°")
                Double turnHighDeg,
        @Missing("true") @Text("whether it holds for an oiled thread") Boolean oiled,
        @Missing("not said") @Text(value = "where it is from", max = 120) String source,
        @Missing("its maker does not say") @Text("when it is tightened again") MakersFigure.Retorque retorque) {
    private static final MakersFigureDocument NONE = new MakersFigureDocument(null, null, null, null, null, null, null);

    /**
     * @param path where its figures stand
     * @param problems receives a least figure without or over its greatest
     */
    public void check(String path, List<Problem> problems) {
        pair(path + "/torqueLowNm", torqueLowNm, torqueHighNm, "Nm", problems);
        pair(path + "/turnLowDeg", turnLowDeg, turnHighDeg, "°", problems);
    }

    private static void pair(String path, Double low, Double high, String unit, List<Problem> problems) {
        if (low == null && high == null) {
            return;
        }
        if (low == null || high == null || low > high) {
            problems.add(Problem.of(
                    path,
                    low == null ? null : DocumentReader.number(low),
                    high == null
                            ? "A least figure needs its greatest, in " + unit
                            : "A least figure up to " + DocumentReader.number(high) + " " + unit
                                    + " is expected here"));
        }
    }

    /** @return it for {@code core}; empty where nothing is said */
    public Optional<MakersFigure> toCore() {
        if (torqueHighNm == null && turnHighDeg == null) {
            return Optional.empty();
        }
        return Optional.of(new MakersFigure(
                Optional.ofNullable(torqueHighNm).map(high -> new Tightening.Range(torqueLowNm, high)),
                Optional.ofNullable(turnHighDeg)
                        .map(high -> new MakersFigure.Turn(Math.toRadians(turnLowDeg), Math.toRadians(high))),
                oiled == null || oiled,
                source == null ? "as entered" : source,
                retorque == null ? MakersFigure.Retorque.NOT_SAID : retorque));
    }

    /**
     * @param figure what a maker says
     * @return its document; without figures where nothing is said
     */
    public static MakersFigureDocument of(Optional<MakersFigure> figure) {
        return figure.map(f -> new MakersFigureDocument(
                        f.torque().map(Tightening.Range::low).orElse(null),
                        f.torque().map(Tightening.Range::high).orElse(null),
                        f.turn().map(t -> rounded(t.least())).orElse(null),
                        f.turn().map(t -> rounded(t.most())).orElse(null),
                        f.oiled(),
                        f.source(),
                        f.retorque()))
                .orElse(NONE);
    }

    private static double rounded(double rad) {
        return Math.round(Math.toDegrees(rad) * 100) / 100.0;
    }
}
