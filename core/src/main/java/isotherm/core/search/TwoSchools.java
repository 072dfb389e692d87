package isotherm.core.search;

import isotherm.core.car.Car;
import isotherm.core.car.Design;
import isotherm.core.catalogue.CorePart;
import isotherm.core.duty.Duty;
import isotherm.core.simulate.Belief;
import java.util.List;
import java.util.Optional;

/**
 * What the two schools of sizing would do with a design: the smallest core that holds the target and the largest that fits,
 * everything else as it is.
 *
 * @param present the design's own core, without a price when it is not a catalogue part
 * @param smallest the smallest core by face area that holds the target, if one does; the cheapest of equals
 * @param largest the largest core by face area that fits, if one fits; the coolest of equals
 */
public record TwoSchools(
        DesignSearch.Candidate present,
        Optional<DesignSearch.Candidate> smallest,
        Optional<DesignSearch.Candidate> largest) {

    /**
     * @param car the car
     * @param duty the duty
     * @param belief how sure the car's numbers are
     * @param design a design with a cooler
     * @param catalogue cores to choose from
     * @param largestWidth outside width that fits, m
     * @param largestHeight finned height that fits, m
     * @return both schools' cores with what each costs
     * @throws java.util.NoSuchElementException when the design has no cooler
     */
    public static TwoSchools of(
            Car car,
            Duty duty,
            Belief belief,
            Design design,
            List<CorePart> catalogue,
            double largestWidth,
            double largestHeight) {
        DesignSearch.Evaluation evaluation = new DesignSearch.Evaluation(car, duty);
        List<DesignSearch.Run> fitting = catalogue.parallelStream()
                .filter(p -> p.fits(largestWidth, largestHeight))
                .map(p -> evaluation.run(
                        p,
                        design.withCore(p.core()
                                .orientedLike(design.cooler().orElseThrow().core()))))
                .toList();
        double likely = DesignSearch.likely(car, duty, belief, fitting);
        CorePart own = new CorePart("", "", design.cooler().orElseThrow().core(), Double.NaN);
        return new TwoSchools(
                evaluation.candidate(evaluation.run(own, design)),
                DesignSearch.smallest(fitting, likely).map(evaluation::candidate),
                DesignSearch.largest(fitting).map(evaluation::candidate));
    }
}
