package isotherm.server.garage;

import isotherm.core.fluid.Oil;
import isotherm.core.fluid.ViscosityIndex;
import isotherm.server.contract.Checked;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;
import java.util.List;

/**
 * An oil: a shipped grade, or one's own by its data sheet.
 *
 * @param grade name; one of the shipped grades needs nothing more
 * @param kv40Cst kinematic viscosity at 40 °C
 * @param kv100Cst kinematic viscosity at 100 °C
 * @param viscosityIndex viscosity index, in place of the viscosity at 40 °C
 * @param density15 density at 15 °C
 */
public record OilDocument(
        @Text(value = "grade such as 5W-40, or an own name with its data", min = 1, max = 60) String grade,
        @Missing("the shipped grade's figure")
                @Quantity(value = "kinematic viscosity at 40 °C", min = 5, max = 1000, unit = "cSt")
                Double kv40Cst,
        @Missing("the shipped grade's figure")
                @Quantity(value = "kinematic viscosity at 100 °C", min = 2, max = 60, unit = "cSt")
                Double kv100Cst,
        @Missing("kv40Cst is given")
                @Quantity(value = "viscosity index, in place of the viscosity at 40 °C", min = 0, max = 400)
                Double viscosityIndex,
        @Missing("the shipped grade's figure")
                @Quantity(value = "density at 15 °C", min = 700, max = 1000, unit = "kg/m³")
                Double density15)
        implements Checked {

    @Override
    public void check(String path, List<Problem> problems) {
        boolean known = Oil.grade(grade).isPresent();
        if (!known && (kv40Cst == null && viscosityIndex == null || kv100Cst == null || density15 == null)) {
            problems.add(Problem.of(
                    path + "/grade",
                    '"' + grade + '"',
                    "This is not a shipped grade ("
                            + String.join(
                                    ", ", Oil.GRADES.stream().map(Oil::name).toList())
                            + "); an own oil needs kv100Cst, density15, and kv40Cst or viscosityIndex"));
        }
        if (kv40Cst != null && viscosityIndex != null) {
            problems.add(Problem.of(
                    path + "/viscosityIndex",
                    DocumentReader.number(viscosityIndex),
                    "Either kv40Cst or viscosityIndex is expected, not both"));
        }
        if (kv40Cst != null && kv100Cst != null && kv100Cst >= kv40Cst) {
            problems.add(Problem.of(
                    path + "/kv100Cst",
                    DocumentReader.number(kv100Cst),
                    "Viscosity at 100 °C has to be below that at 40 °C, " + DocumentReader.number(kv40Cst) + " cSt"));
        }
    }

    public Oil toCore() {
        return Oil.grade(grade)
                .map(o -> Oil.of(
                        grade,
                        kv40() == null ? o.kv40Cst() : kv40(),
                        kv100Cst == null ? o.kv100Cst() : kv100Cst,
                        density15 == null ? o.density15() : density15))
                .orElseGet(() -> Oil.of(grade, kv40(), kv100Cst, density15));
    }

    private Double kv40() {
        return viscosityIndex == null || kv100Cst == null
                ? kv40Cst
                : (Double) ViscosityIndex.kv40(kv100Cst, viscosityIndex);
    }

    static OilDocument of(Oil oil) {
        return Oil.GRADES.contains(oil)
                ? new OilDocument(oil.name(), null, null, null, null)
                : new OilDocument(oil.name(), oil.kv40Cst(), oil.kv100Cst(), null, oil.density15());
    }
}
