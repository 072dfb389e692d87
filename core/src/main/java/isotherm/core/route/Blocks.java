package isotherm.core.route;

import java.util.Arrays;
import java.util.concurrent.atomic.AtomicReferenceArray;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.jspecify.annotations.Nullable;

/**
 * The room of a bay in cubes, each with what can be nearest to a point in it: room never changes faster than one moves, so that
 * whatever is further from a cube's middle than the nearest there by twice its half diagonal is nowhere in it the nearest. Looked
 * for when a cube is first asked about.
 */
final class Blocks {
    /** Edge of a cube, m: a few points of the grid in each direction. */
    private static final double EDGE = 90e-3;

    private static final double REACH = EDGE * Math.sqrt(3) / 2;

    private final Surroundings space;
    private final Vector3D low;
    private final int nx;
    private final int ny;
    private final int nz;
    private final AtomicReferenceArray<Near> blocks;

    /**
     * What can be nearest in a cube.
     *
     * @param boxes numbers of boxes
     * @param others points of other hoses
     */
    record Near(int[] boxes, Vector3D[] others) {}

    Blocks(Surroundings space) {
        this.space = space;
        Bay.Box room = space.bay().room();
        this.low = room.low();
        Vector3D size = room.high().subtract(low);
        this.nx = 1 + (int) (size.getX() / EDGE);
        this.ny = 1 + (int) (size.getY() / EDGE);
        this.nz = 1 + (int) (size.getZ() / EDGE);
        this.blocks = new AtomicReferenceArray<>(nx * ny * nz);
    }

    /** What can be nearest at a point; null outside the room. */
    @Nullable
    Near at(Vector3D p) {
        int x = (int) Math.floor((p.getX() - low.getX()) / EDGE);
        int y = (int) Math.floor((p.getY() - low.getY()) / EDGE);
        int z = (int) Math.floor((p.getZ() - low.getZ()) / EDGE);
        if (x < 0 || y < 0 || z < 0 || x >= nx || y >= ny || z >= nz) {
            return null;
        }
        int at = (x * ny + y) * nz + z;
        Near near = blocks.get(at);
        if (near == null) {
            near = near(low.add(new Vector3D((x + 0.5) * EDGE, (y + 0.5) * EDGE, (z + 0.5) * EDGE)));
            blocks.set(at, near);
        }
        return near;
    }

    private Near near(Vector3D middle) {
        // At a hole room does grow faster than one moves: what has holes says nothing of how much there is at most.
        double most = space.slackOfSolid(middle) + 2 * REACH;
        int[] boxes = new int[space.count()];
        int n = 0;
        for (int i = 0; i < boxes.length; i++) {
            if (space.roomAtLeast(middle, i) <= most) {
                boxes[n++] = i;
            }
        }
        return new Near(Arrays.copyOf(boxes, n), space.othersWithin(middle, most));
    }
}
