package isotherm.core.duty;

/**
 * What hangs on the hook.
 *
 * @param mass kg, 0 without a trailer
 * @param dragArea drag area that it adds, m²
 */
public record Trailer(double mass, double dragArea) {
    /** Nothing on the hook. */
    public static final Trailer NONE = new Trailer(0, 0);
}
