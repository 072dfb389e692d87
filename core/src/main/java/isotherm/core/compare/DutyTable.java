package isotherm.core.compare;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.duty.Duty;
import isotherm.core.simulate.Belief;
import isotherm.core.simulate.Outlook;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Every design of a car in every one of its duties: a cooler that holds on a hot track day may be the one that fails up the pass.
 *
 * @param rows one for each design, in their order
 */
public record DutyTable(List<Row> rows) {

    /**
     * A design in one duty.
     *
     * @param peakK most likely peak of the oil, K
     * @param lowK 10 % quantile of the peak, K
     * @param highK 90 % quantile of the peak, K
     * @param oddsInBand odds that it stays under the top of its target, 0 to 1
     * @param oddsUnderLimit odds that it stays under the oil's limit, 0 to 1
     */
    public record Cell(double peakK, double lowK, double highK, double oddsInBand, double oddsUnderLimit) {}

    /**
     * A design in all duties.
     *
     * @param cells one for each duty, in their order
     * @param worst the duty in which it is least likely to hold
     * @param holds whether it holds in each of them as surely as the car's people want
     */
    public record Row(List<Cell> cells, int worst, boolean holds) {
        private double least() {
            return cells.get(worst).oddsInBand();
        }
    }

    /**
     * @param car the car
     * @param belief how sure its numbers are
     * @param designs the designs
     * @param duties the duties, one or more
     * @return the table
     */
    public static DutyTable of(Car car, Belief belief, List<Design> designs, List<Duty> duties) {
        List<Cell> cells = IntStream.range(0, designs.size() * duties.size())
                .parallel()
                .mapToObj(i -> cell(car, belief, designs.get(i / duties.size()), duties.get(i % duties.size())))
                .toList();
        return new DutyTable(IntStream.range(0, designs.size())
                .mapToObj(d -> row(car, cells.subList(d * duties.size(), (d + 1) * duties.size())))
                .toList());
    }

    private static Cell cell(Car car, Belief belief, Design design, Duty duty) {
        Outlook o = Outlook.of(car, duty, design, belief);
        return new Cell(
                o.peakK(),
                o.quantile(0.1),
                o.quantile(0.9),
                o.oddsUnder(car.limits().targetHighK()),
                o.oddsUnder(car.limits().limitK()));
    }

    private static Row row(Car car, List<Cell> cells) {
        int worst = IntStream.range(0, cells.size())
                .boxed()
                .min(Comparator.comparingDouble((Integer i) -> cells.get(i).oddsInBand())
                        .thenComparingDouble(i -> -cells.get(i).peakK()))
                .orElseThrow();
        return new Row(
                List.copyOf(cells),
                worst,
                cells.get(worst).oddsInBand() >= car.limits().sure());
    }

    /** @return the design that is most likely to hold in its own worst duty; none without designs */
    public Optional<Integer> best() {
        return IntStream.range(0, rows.size()).boxed().max(Comparator.comparingDouble(i -> rows.get(i)
                .least()));
    }
}
