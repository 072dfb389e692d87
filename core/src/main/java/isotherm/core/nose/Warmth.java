package isotherm.core.nose;

import java.util.List;

/**
 * Who warms whose air in a nose.
 *
 * @param ahead heat that what stands ahead gives to the air of the core's face, W
 * @param behind what breathes the core's air, by name
 * @param intakeBehind whether an intercooler is among them
 */
public record Warmth(double ahead, List<String> behind, boolean intakeBehind) {
    /** What covers less of the other's face than this does not warm it worth naming (default). */
    private static final double LEAST_SHARE = 0.05;

    /** Defensive copy. */
    public Warmth {
        behind = List.copyOf(behind);
    }

    /**
     * @param nose the nose
     * @param face finned face of the core in the front view
     * @param front of the core, m back from the skin
     * @param back of the core, m back from the skin
     * @return who warms whom: heat by the share of a part's face that stands before the core's
     */
    static Warmth of(Nose nose, Rect face, double front, double back) {
        double ahead = nose.parts().stream()
                .filter(p -> p.back() <= front + 1e-9)
                .mapToDouble(p -> p.warms() * shared(p, face) / p.face().area())
                .sum();
        List<Nose.Part> behind = nose.parts().stream()
                .filter(p -> p.front() >= back - 1e-9)
                .filter(p -> p.kind() == Nose.Kind.RADIATOR || p.warms() > 0)
                .filter(p -> shared(p, face) / p.face().area() >= LEAST_SHARE)
                .toList();
        return new Warmth(
                ahead,
                behind.stream().map(Nose.Part::name).toList(),
                behind.stream().anyMatch(p -> p.kind() == Nose.Kind.INTERCOOLER));
    }

    private static double shared(Nose.Part p, Rect face) {
        return p.face().common(face).map(Rect::area).orElse(0.0);
    }
}
