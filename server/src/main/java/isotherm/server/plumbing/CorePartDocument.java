package isotherm.server.plumbing;

import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreDetail;
import isotherm.core.exchanger.Finish;
import isotherm.core.exchanger.Ports;
import isotherm.core.fit.HeatRating;
import isotherm.server.contract.Checked;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import isotherm.server.garage.DetailDocument;
import isotherm.server.garage.HeatPointDocument;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A core that can be bought.
 *
 * @param maker its maker
 * @param number the maker's number
 * @param construction how it is made
 * @param rows oil rows
 * @param widthMm finned width
 * @param depthMm depth along the air
 * @param passes passes
 * @param price price in the garage's currency
 * @param portThread thread of its ports
 * @param detail dimensions inside and out, where they are known
 * @param heats what its maker says that it gives off
 */
public record CorePartDocument(
        @Text(value = "its maker", min = 1, max = 60) String maker,
        @Text(value = "the maker's number", min = 1, max = 60) String number,
        @Text("how it is made") Construction construction,
        @Quantity(value = "oil rows", min = 2, max = 60) int rows,
        @Quantity(value = "finned width along the rows", min = 80, max = 900, unit = "mm") double widthMm,
        @Quantity(value = "depth along the air", min = 20, max = 120, unit = "mm") double depthMm,
        @Quantity(value = "passes, 2 for both ports on one end", min = 1, max = 2) int passes,
        @Quantity(value = "price in the garage's currency", min = 0, max = 100000) double price,
        @Missing("not known") @Text(value = "thread of its ports", max = 40) String portThread,
        @Missing("typical of the construction") @Text("dimensions inside and out, where they are known")
                DetailDocument detail,
        @Missing("none") @Text(value = "what its maker says that it gives off", max = 4) List<HeatPointDocument> heats)
        implements Checked {
    @Override
    public void check(String path, List<Problem> problems) {
        if (detail != null) {
            detail.check(path + "/detail", construction, problems);
        }
        int before = problems.size();
        for (int i = 0; heats != null && i < heats.size(); i++) {
            if (heats.get(i).oil() != null) {
                heats.get(i).oil().check(path + "/heats/" + i + "/oil", problems);
            }
        }
        // An oil that nobody knows gives no figure to hold the core against.
        if (problems.size() == before
                && heats != null
                && !heats.isEmpty()
                && efficacy().isEmpty()) {
            problems.add(Problem.of(
                    path + "/heats",
                    null,
                    "No core of these dimensions gives off what these figures say: look at rows, width and depth, at the"
                            + " units of flow and air, and whether the figures are for this part"));
        }
    }

    /** @return share of the computed conductance that its maker's figures stand for; empty without figures */
    public OptionalDouble efficacy() {
        if (heats == null || heats.isEmpty()) {
            return OptionalDouble.empty();
        }
        Core core = toCore().core();
        return HeatRating.efficacy(heats.stream().map(h -> h.toCore(core)).toList());
    }

    /** @return the part for {@code core} */
    public CorePart toCore() {
        return new CorePart(
                maker,
                number,
                new Core(
                        construction,
                        rows,
                        widthMm * 1e-3,
                        depthMm * 1e-3,
                        passes,
                        Finish.BARE,
                        Ports.UP,
                        detail == null ? CoreDetail.typical(construction) : detail.toCore(construction)),
                price);
    }

    /**
     * @param part a part of the shipped catalogue
     * @return its document
     */
    public static CorePartDocument of(CorePart part) {
        Core c = part.core();
        return new CorePartDocument(
                part.maker(),
                part.number(),
                c.construction(),
                c.rows(),
                Math.round(c.width() * 1e3),
                Math.round(c.depth() * 1e3),
                c.passes(),
                part.price(),
                null,
                null,
                null);
    }
}
