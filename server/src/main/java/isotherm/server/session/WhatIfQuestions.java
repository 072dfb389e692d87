package isotherm.server.session;

import isotherm.core.findings.Finding;
import isotherm.core.message.Measure;
import isotherm.core.simulate.PressureCheck;
import isotherm.core.whatif.Figure;
import isotherm.core.whatif.Given;
import isotherm.core.whatif.Lever;
import isotherm.server.contract.Checked;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Problem;
import isotherm.server.contract.Text;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.DutyDocument;
import java.util.List;

/** What one step of each choice would bring, and where a figure comes from. */
public final class WhatIfQuestions {
    private WhatIfQuestions() {}

    /**
     * What one step of each choice brings.
     *
     * @param now the design as it is
     * @param at the point at which its pressure is nearest to its floor: all pressures are looked at there
     * @param changes its strongest levers, the strongest first
     */
    public record WhatIfAnswer(StandingDocument now, PressureCheck.Kind at, List<ChangeDocument> changes) {}

    /**
     * The figures that a step moves.
     *
     * @param peakC highest oil temperature of the duty
     * @param galleryBar gallery pressure at the point that is nearest to its floor in the design as it is
     * @param warmSeconds time on a cold road until the oil may be loaded
     * @param price price of core and hose
     */
    public record StandingDocument(
            double peakC,
            double galleryBar,
            @Missing("it never gets so warm") Double warmSeconds,
            @Missing("no cooler, or no price for it") Double price) {}

    /**
     * One step.
     *
     * @param lever what is moved
     * @param label what it becomes
     * @param design the design after it
     * @param after the figures after it
     */
    public record ChangeDocument(Lever lever, MessageDocument label, DesignDocument design, StandingDocument after) {}

    /**
     * Which figure is to be explained.
     *
     * @param car the car
     * @param duty what it has to do
     * @param design the design
     * @param figure the figure
     */
    public record ExplainQuestion(
            @Text("the car") CarDocument car,
            @Text("what it has to do") DutyDocument duty,
            @Text("the design") DesignDocument design,
            @Text("the figure, one that comes out of a session") Figure figure)
            implements Checked {
        @Override
        public void check(String path, List<Problem> problems) {
            car.check(path + "/car", problems);
            duty.check(path + "/duty", problems);
            design.check(path + "/design", problems);
            if (figure.measure().isEmpty()) {
                problems.add(Problem.of(
                        path + "/figure", figure.name(), "This figure is entered, read or added up, not computed"));
            }
        }
    }

    /**
     * A figure with its interval and what moves it.
     *
     * @param measure what it measures
     * @param value the figure, in the metric unit of the measure
     * @param low 10 % quantile
     * @param high 90 % quantile
     * @param moves what a step of each input changes, the largest first
     */
    public record ExplainAnswer(
            Measure measure,
            @Missing("this design does not have it") Double value,
            @Missing("this design does not have it") Double low,
            @Missing("this design does not have it") Double high,
            List<MoveDocument> moves) {}

    /**
     * What a step of an input does.
     *
     * @param given the input
     * @param step by how much it is moved
     * @param station where it is entered or chosen
     * @param change of the figure, in the metric unit of a difference
     */
    public record MoveDocument(Given given, MessageDocument step, Finding.Station station, double change) {}
}
