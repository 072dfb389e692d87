package isotherm.core.route;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Points along straight pieces and arcs that follow each other, each made when it is asked for. */
final class Walk {
    private final Vector3D first;
    /** Number of the last point of each piece. */
    private final int[] ends;

    private final Vector3D[] at;
    private final Vector3D[] along;
    private final Vector3D[] inward;
    /** Length of a straight piece, or radius of an arc, m. */
    private final double[] size;
    /** Angle of an arc, rad; 0 for a straight piece. */
    private final double[] turn;

    private int pieces;

    Walk(Vector3D first, int most) {
        this.first = first;
        this.ends = new int[most];
        this.at = new Vector3D[most];
        this.along = new Vector3D[most];
        this.inward = new Vector3D[most];
        this.size = new double[most];
        this.turn = new double[most];
    }

    void straight(Vector3D from, Vector3D direction, double length, int points) {
        add(from, direction, direction, length, 0, points);
    }

    void arc(Vector3D from, Vector3D direction, Vector3D inwards, double radius, double angle, int points) {
        add(from, direction, inwards, radius, angle, points);
    }

    private void add(Vector3D from, Vector3D direction, Vector3D inwards, double length, double angle, int points) {
        at[pieces] = from;
        along[pieces] = direction;
        inward[pieces] = inwards;
        size[pieces] = length;
        turn[pieces] = angle;
        ends[pieces] = points + (pieces == 0 ? 0 : ends[pieces - 1]);
        pieces++;
    }

    /** How many points there are. */
    int count() {
        return 1 + ends[pieces - 1];
    }

    Vector3D point(int i) {
        if (i == 0) {
            return first;
        }
        int k = 0;
        while (ends[k] < i) {
            k++;
        }
        int before = k == 0 ? 0 : ends[k - 1];
        int n = ends[k] - before;
        int step = i - before;
        if (turn[k] == 0) {
            return at[k].add(new Vector3D(size[k] * step / n, along[k]));
        }
        double phi = turn[k] * step / n;
        return at[k].add(new Vector3D(size[k] * Math.sin(phi), along[k], size[k] * (1 - Math.cos(phi)), inward[k]));
    }
}
