package isotherm.server.garage;

import isotherm.core.nose.Nose;
import isotherm.core.nose.Rect;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The nose of a car, measured by tape: across from the centre line, up from the ground, back from the foremost skin.
 *
 * @param openings openings in the skin
 * @param parts what stands behind the skin
 * @param crushMm how far back the part reaches that crushes in a light knock
 * @param groundMm lowest point of the nose above the ground
 * @param archVented whether the wheel arch liners have outlets
 */
public record NoseDocument(
        @Text(value = "openings in the skin", max = 12) List<OpeningDocument> openings,
        @Text(value = "what stands behind the skin", max = 40) List<NosePartDocument> parts,
        @Quantity(value = "depth of the part that crushes in a light knock", min = 0, max = 500, unit = "mm")
                double crushMm,
        @Quantity(value = "lowest point of the nose above the ground", min = 30, max = 800, unit = "mm")
                double groundMm,
        @Text("whether the wheel arch liners have outlets") boolean archVented) {

    /** An opening in the skin. */
    public record OpeningDocument(
            @Text(value = "what its people call it", min = 1, max = 60) String name,
            @Quantity(value = "left edge from the centre line, left negative", min = -1500, max = 1500, unit = "mm")
                    double leftMm,
            @Quantity(value = "lower edge above the ground", min = 0, max = 2000, unit = "mm") double bottomMm,
            @Quantity(value = "width", min = 1, max = 2500, unit = "mm") double widthMm,
            @Quantity(value = "height", min = 1, max = 1500, unit = "mm") double heightMm,
            @Quantity(value = "share that bars and their net take", min = 0, max = 95, unit = "%") double barPercent) {}

    /** Something behind the skin. */
    public record NosePartDocument(
            @Text(value = "what its people call it", min = 1, max = 60) String name,
            @Text("what it is") Nose.Kind kind,
            @Quantity(value = "left edge from the centre line, left negative", min = -1500, max = 1500, unit = "mm")
                    double leftMm,
            @Quantity(value = "lower edge above the ground", min = 0, max = 2000, unit = "mm") double bottomMm,
            @Quantity(value = "width", min = 1, max = 2500, unit = "mm") double widthMm,
            @Quantity(value = "height", min = 1, max = 1500, unit = "mm") double heightMm,
            @Quantity(value = "its front behind the skin", min = -200, max = 2500, unit = "mm") double frontMm,
            @Quantity(value = "its depth", min = 1, max = 1000, unit = "mm") double depthMm,
            @Missing("what such a part usually gives")
                    @Quantity(value = "heat that it gives to the air at its hardest", min = 0, max = 60, unit = "kW")
                    Double heatKw) {}

    /** @return the nose for {@code core} */
    public Nose toCore() {
        return new Nose(
                openings.stream()
                        .map(o -> new Nose.Opening(
                                o.name(),
                                rect(o.leftMm(), o.bottomMm(), o.widthMm(), o.heightMm()),
                                o.barPercent() / 100))
                        .toList(),
                parts.stream()
                        .map(p -> new Nose.Part(
                                p.name(),
                                p.kind(),
                                rect(p.leftMm(), p.bottomMm(), p.widthMm(), p.heightMm()),
                                p.frontMm() * 1e-3,
                                p.depthMm() * 1e-3,
                                p.heatKw() == null ? OptionalDouble.empty() : OptionalDouble.of(p.heatKw() * 1e3)))
                        .toList(),
                crushMm * 1e-3,
                groundMm * 1e-3,
                archVented);
    }

    private static Rect rect(double left, double bottom, double width, double height) {
        return new Rect(left * 1e-3, bottom * 1e-3, width * 1e-3, height * 1e-3);
    }
}
