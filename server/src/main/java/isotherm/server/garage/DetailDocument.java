package isotherm.server.garage;

import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.CoreDetail;
import isotherm.server.contract.DocumentReader;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Quantity;
import java.util.List;

/** The dimensions inside a core. */
public record DetailDocument(
        @Quantity(value = "from one oil row to the next", min = 4, max = 40, unit = "mm") double rowPitchMm,
        @Quantity(value = "clear height of an oil passage, or tube bore", min = 1, max = 20, unit = "mm")
                double oilGapMm,
        @Quantity(value = "plate or tube wall", min = 0.2, max = 3, unit = "mm") double plateMm,
        @Quantity(value = "air fin pitch", min = 0.8, max = 6, unit = "mm") double finPitchMm,
        @Quantity(value = "air fin thickness", min = 0.05, max = 0.5, unit = "mm") double finThicknessMm,
        @Quantity(value = "louvre pitch, or strip length on the air side", min = 0, max = 10, unit = "mm")
                double louvrePitchMm,
        @Quantity(value = "louvre angle", min = 0, max = 40, unit = "°") double louvreAngleDeg,
        @Quantity(value = "turbulator pitch", min = 0, max = 8, unit = "mm") double turbulatorPitchMm,
        @Quantity(value = "turbulator strip length", min = 0, max = 20, unit = "mm") double stripLengthMm,
        @Quantity(value = "turbulator sheet", min = 0, max = 1, unit = "mm") double turbulatorThicknessMm,
        @Quantity(value = "inner diameter of each port", min = 5, max = 40, unit = "mm") double portBoreMm,
        @Missing("20 mm") @Quantity(value = "tank at each end of the rows", min = 0, max = 120, unit = "mm")
                Double tankMm,
        @Missing("3 mm") @Quantity(value = "plate above and below the fins", min = 0, max = 30, unit = "mm")
                Double endPlateMm,
        @Missing("typical of the construction")
                @Quantity(value = "working pressure that its maker gives", min = 2, max = 60, unit = "bar")
                Double ratedBar) {

    public void check(String path, Construction construction, List<Problem> problems) {
        if (oilGapMm + 2 * plateMm >= rowPitchMm - 1) {
            problems.add(Problem.of(
                    path + "/rowPitchMm",
                    DocumentReader.number(rowPitchMm),
                    "Gap and two plates leave less than 1 mm for the air fins between two rows"));
        }
        if (construction != Construction.TUBE_AND_FIN) {
            boolean turbulated = turbulatorPitchMm > turbulatorThicknessMm
                    && stripLengthMm > 0
                    && oilGapMm > turbulatorThicknessMm
                    && turbulatorThicknessMm > 0;
            if (!turbulated) {
                problems.add(Problem.of(
                        path + "/turbulatorPitchMm",
                        DocumentReader.number(turbulatorPitchMm),
                        "A turbulator needs a sheet thinner than its pitch and its gap, and a strip length"));
            }
            if (louvrePitchMm <= 0 || construction != Construction.BAR_AND_PLATE && louvreAngleDeg <= 0) {
                problems.add(Problem.of(
                        path + "/louvrePitchMm",
                        DocumentReader.number(louvrePitchMm),
                        "The fins need a louvre pitch and angle, or a strip length"));
            }
        }
        if (finThicknessMm >= finPitchMm) {
            problems.add(Problem.of(
                    path + "/finThicknessMm",
                    DocumentReader.number(finThicknessMm),
                    "The fin has to be thinner than its pitch, " + DocumentReader.number(finPitchMm) + " mm"));
        }
    }

    /**
     * @param construction how the core is made
     * @return the dimensions for {@code core}
     */
    public CoreDetail toCore(Construction construction) {
        return new CoreDetail(
                rowPitchMm * 1e-3,
                oilGapMm * 1e-3,
                plateMm * 1e-3,
                finPitchMm * 1e-3,
                finThicknessMm * 1e-3,
                louvrePitchMm * 1e-3,
                louvreAngleDeg,
                turbulatorPitchMm * 1e-3,
                stripLengthMm * 1e-3,
                turbulatorThicknessMm * 1e-3,
                portBoreMm * 1e-3,
                tankMm == null ? CoreDetail.STACKED_PLATE.tank() : tankMm * 1e-3,
                endPlateMm == null ? CoreDetail.STACKED_PLATE.endPlate() : endPlateMm * 1e-3,
                ratedBar == null ? CoreDetail.typical(construction).ratedPressure() : ratedBar * 1e5);
    }

    static DetailDocument of(CoreDetail d) {
        return new DetailDocument(
                CoolerMapper.rounded(d.rowPitch() * 1e3),
                CoolerMapper.rounded(d.oilGap() * 1e3),
                CoolerMapper.rounded(d.plate() * 1e3),
                CoolerMapper.rounded(d.finPitch() * 1e3),
                CoolerMapper.rounded(d.finThickness() * 1e3),
                CoolerMapper.rounded(d.louvrePitch() * 1e3),
                d.louvreAngle(),
                CoolerMapper.rounded(d.turbulatorPitch() * 1e3),
                CoolerMapper.rounded(d.stripLength() * 1e3),
                CoolerMapper.rounded(d.turbulatorThickness() * 1e3),
                CoolerMapper.rounded(d.portBore() * 1e3),
                CoolerMapper.rounded(d.tank() * 1e3),
                CoolerMapper.rounded(d.endPlate() * 1e3),
                CoolerMapper.rounded(d.ratedPressure() / 1e5));
    }
}
