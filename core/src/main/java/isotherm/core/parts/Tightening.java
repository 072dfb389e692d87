package isotherm.core.parts;

import java.util.Map;
import java.util.Optional;

/**
 * How a joint is tightened. The maker's figure always comes before these.
 *
 * @param wrench width across flats, m; 0 where no wrench is used
 * @param torque least and greatest torque, N·m, where a published one is known
 * @param leastTurn least turn past finger tight, rad
 * @param mostTurn greatest turn past finger tight, rad
 * @param source where the figures are from
 * @param makers whether they are the maker's own
 * @param oiled whether they hold for an oiled thread
 * @param retorque when the joint is tightened again
 */
public record Tightening(
        double wrench,
        Optional<Range> torque,
        double leastTurn,
        double mostTurn,
        String source,
        boolean makers,
        boolean oiled,
        MakersFigure.Retorque retorque) {
    private Tightening(double wrench, Optional<Range> torque, double leastTurn, double mostTurn, String source) {
        this(wrench, torque, leastTurn, mostTurn, source, false, true, MakersFigure.Retorque.NOT_SAID);
    }

    /**
     * @param end one of the two ends
     * @param figure what a maker says of it
     * @return how their joint is tightened: by the maker's figure alone where there is one
     */
    public static Tightening of(End end, Optional<MakersFigure> figure) {
        return of(end, figure, Practice.USUAL);
    }

    /**
     * @param end one of the two ends
     * @param figure what a maker says of it
     * @param practice what both parts are made of, and what seals them
     * @return how their joint is tightened: by the maker's figure alone where there is one
     */
    public static Tightening of(End end, Optional<MakersFigure> figure, Practice practice) {
        Tightening usual = of(end, practice);
        return figure.map(f -> new Tightening(
                        usual.wrench,
                        f.torque(),
                        f.turn().map(MakersFigure.Turn::least).orElse(0.0),
                        f.turn().map(MakersFigure.Turn::most).orElse(0.0),
                        f.source(),
                        true,
                        f.oiled(),
                        f.retorque()))
                .orElse(usual);
    }

    /**
     * @param usual what goes on the thread of such a joint
     * @return what goes on this one: nothing where its maker's figure holds for a dry thread
     */
    public String onThread(String usual) {
        return makers && !oiled ? "nothing: its maker's figure is for a dry thread" : usual;
    }

    /**
     * From and to.
     *
     * @param low least, N·m
     * @param high greatest, N·m
     */
    public record Range(double low, double high) {}

    private static final double INCH_POUND = 0.1129848;
    private static final double INCH = 25.4e-3;
    private static final double TURN = 2 * Math.PI;

    /** Aluminium flares, inch pounds: FAA Advisory Circular 43.13-1B, table 9-2. */
    private static final Map<String, Range> FLARES = Map.of(
            "-6", inchPounds(75, 125),
            "-8", inchPounds(150, 250),
            "-10", inchPounds(200, 350),
            "-12", inchPounds(300, 500));

    /** Steel flares, inch pounds, from the same table. */
    private static final Map<String, Range> STEEL_FLARES = Map.of(
            "-6", inchPounds(270, 300),
            "-8", inchPounds(450, 500),
            "-10", inchPounds(650, 700),
            "-12", inchPounds(900, 1000));

    /** Width across flats of the nuts of each dash size, inches. */
    private static final Map<String, Double> NUTS = Map.of("-6", 11 / 16.0, "-8", 7 / 8.0, "-10", 1.0, "-12", 1.25);

    private static Range inchPounds(double low, double high) {
        return new Range(low * INCH_POUND, high * INCH_POUND);
    }

    /**
     * @param end one of the two ends
     * @return how their joint is tightened
     */
    public static Tightening of(End end) {
        return of(end, Practice.USUAL);
    }

    private static Tightening of(End end, Practice practice) {
        double wrench = NUTS.getOrDefault(end.size(), 0.0) * INCH;
        boolean steel = practice.metal() == Practice.Metal.STEEL;
        return switch (end.joint()) {
            case FLARE_37 ->
                new Tightening(
                        wrench,
                        Optional.ofNullable((steel ? STEEL_FLARES : FLARES).get(end.size())),
                        TURN / 8,
                        TURN / 4,
                        "FAA AC 43.13-1B, table 9-2, for " + (steel ? "steel" : "aluminium"));
            case O_RING_BOSS ->
                new Tightening(wrench, Optional.empty(), TURN / 8, TURN / 4, "workshop practice; an estimate");
            case TAPER ->
                new Tightening(0, Optional.empty(), 2 * TURN, 3 * TURN, "practice for taper threads; an estimate");
            case BSPP, METRIC, BANJO ->
                new Tightening(0, Optional.empty(), TURN / 8, TURN / 4, "workshop practice; an estimate");
            case PUSH_ON -> new Tightening(0, Optional.empty(), 0, 0, "pushed home to the collar");
        };
    }
}
