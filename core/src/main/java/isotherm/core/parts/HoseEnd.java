package isotherm.core.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The fitting at the end of a hose: from its seat straight on, round its bend, and on to the collar where the hose begins.
 *
 * @param maker its maker
 * @param number the maker's number
 * @param family the hose that it fits
 * @param dash its dash size
 * @param angle its bend, rad
 * @param end what it is joined by
 * @param nose from the seat to the beginning of the bend, m
 * @param elbow radius of the bend, m
 * @param tail from the end of the bend to the collar, m
 * @param insertion how far the hose goes in behind the collar, m
 * @param widest its largest diameter, m
 * @param price price in the garage's currency
 * @param mass kg
 * @param figure what its maker says of tightening it
 */
public record HoseEnd(
        String maker,
        String number,
        HoseType.Family family,
        String dash,
        double angle,
        End end,
        double nose,
        double elbow,
        double tail,
        double insertion,
        double widest,
        double price,
        double mass,
        Optional<MakersFigure> figure) {
    /**
     * Without a figure of its maker.
     *
     * @param maker its maker
     * @param number the maker's number
     * @param family the hose that it fits
     * @param dash its dash size
     * @param angle its bend, rad
     * @param end what it is joined by
     * @param nose from the seat to the beginning of the bend, m
     * @param elbow radius of the bend, m
     * @param tail from the end of the bend to the collar, m
     * @param insertion how far the hose goes in behind the collar, m
     * @param widest its largest diameter, m
     * @param price price in the garage's currency
     * @param mass kg
     */
    public HoseEnd(
            String maker,
            String number,
            HoseType.Family family,
            String dash,
            double angle,
            End end,
            double nose,
            double elbow,
            double tail,
            double insertion,
            double widest,
            double price,
            double mass) {
        this(
                maker,
                number,
                family,
                dash,
                angle,
                end,
                nose,
                elbow,
                tail,
                insertion,
                widest,
                price,
                mass,
                Optional.empty());
    }

    /**
     * @param other what its maker says of tightening it
     * @return the same part with it
     */
    public HoseEnd with(MakersFigure other) {
        return new HoseEnd(
                maker,
                number,
                family,
                dash,
                angle,
                end,
                nose,
                elbow,
                tail,
                insertion,
                widest,
                price,
                mass,
                Optional.of(other));
    }

    private static final double BODY_STEP = 5e-3;

    /** @return centre line from the seat to the collar, m */
    public double centreLine() {
        return nose + elbow * angle + tail;
    }

    /**
     * @param seat where its seat is, m
     * @param along unit vector out of the port
     * @param aside unit vector square to it, towards which it bends
     * @return where the hose begins, m
     */
    public Vector3D collar(Vector3D seat, Vector3D along, Vector3D aside) {
        double sin = Math.sin(angle);
        double cos = Math.cos(angle);
        return seat.add(new Vector3D(nose + elbow * sin + tail * cos, along, elbow * (1 - cos) + tail * sin, aside));
    }

    /**
     * @param seat where its seat is, m
     * @param along unit vector out of the port
     * @param aside unit vector square to it, towards which it bends
     * @return points of its own centre line, from the seat to the collar, a few millimetres apart
     */
    public List<Vector3D> body(Vector3D seat, Vector3D along, Vector3D aside) {
        List<Vector3D> points = new ArrayList<>();
        int n = (int) Math.ceil(centreLine() / BODY_STEP);
        for (int i = 0; i <= n; i++) {
            double at = centreLine() * i / n;
            double turned = elbow == 0 ? 0 : Math.max(0, Math.min(angle, (at - nose) / elbow));
            double straight = Math.min(at, nose);
            double rest = Math.max(0, at - nose - elbow * angle);
            points.add(seat.add(new Vector3D(
                    straight + elbow * Math.sin(turned) + rest * Math.cos(turned),
                    along,
                    elbow * (1 - Math.cos(turned)) + rest * Math.sin(turned),
                    aside)));
        }
        return points;
    }

    /**
     * @param along unit vector out of the port
     * @param aside unit vector square to it, towards which it bends
     * @return unit vector in which the hose leaves
     */
    public Vector3D direction(Vector3D along, Vector3D aside) {
        return new Vector3D(Math.cos(angle), along, Math.sin(angle), aside);
    }

    /**
     * @param along unit vector out of the port
     * @param aside unit vector square to it, towards which it bends
     * @return unit vector in the plane of its bend, square to the hose, on the side away from the seat
     */
    public Vector3D inPlane(Vector3D along, Vector3D aside) {
        return new Vector3D(Math.sin(angle), along, -Math.cos(angle), aside);
    }

    /** @return bends of 90° that it counts as */
    public double elbows90() {
        return angle / (Math.PI / 2);
    }
}
