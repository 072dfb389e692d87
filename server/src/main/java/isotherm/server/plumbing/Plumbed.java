package isotherm.server.plumbing;

import isotherm.core.bill.BillLine;
import isotherm.core.message.Measure;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.MakersFigure;
import isotherm.core.plumb.Level;
import isotherm.core.route.Bay;
import isotherm.core.takeoff.Misfit;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.garage.BayDocument;
import isotherm.server.garage.DesignDocument;
import isotherm.server.garage.PlumbingDocument;
import isotherm.server.session.OutcomeDocument;
import java.util.List;

/**
 * What a choice between engine and core comes to.
 *
 * @param level what the lengths of the hoses rest on
 * @param fit how the takeoff goes onto the engine; missing while the filter's surroundings are not measured
 * @param lines feed and return
 * @param boxes everything that the hoses keep clear of: the bay's boxes, the nose and the core
 * @param pairedMm length on which the two hoses run side by side
 * @param hoseToBuyM hose to buy
 * @param offcutM what is left of it
 * @param loop the hoses as the oil circuit knows them; missing without both routes
 * @param figures what it does to the oil; missing without both routes
 * @param sizes the same with hoses of other sizes, when asked
 * @param bill what is bought
 * @param kit kit against loose parts
 * @param notes what the way of the ports and the parts in the loop ask for
 */
public record Plumbed(
        Level level,
        @Missing("the filter's surroundings are not measured") Fit fit,
        List<PlumbedLine> lines,
        List<BayDocument.BoxDocument> boxes,
        double pairedMm,
        double hoseToBuyM,
        double offcutM,
        @Missing("without both routes") Loop loop,
        @Missing("without both routes") PlumbFigures figures,
        List<Size> sizes,
        List<Bill> bill,
        Kit kit,
        List<MessageDocument> notes) {

    /**
     * How far a wrench swings at a port of the takeoff.
     *
     * @param gives whether the port gives oil to the cooler
     * @param arcDeg greatest free swing
     * @param reachable whether the joint can be tightened on the engine
     */
    public record ArcDocument(boolean gives, double arcDeg, boolean reachable) {}

    /**
     * How a takeoff goes onto the engine.
     *
     * @param misfits what does not fit
     * @param engagementMm thread that holds it
     * @param stackMm height of the stack from the engine's face
     * @param arcs how far a wrench swings at its ports
     * @param freeClockDeg clock angle nearest to the chosen one at which both ports are free
     */
    public record Fit(
            List<MisfitDocument> misfits,
            double engagementMm,
            double stackMm,
            List<ArcDocument> arcs,
            @Missing("no angle is free") Double freeClockDeg) {}

    /**
     * Something that does not fit.
     *
     * @param kind what
     * @param what what, with its figure and its bound
     * @param why what that does
     * @param remedy what to do
     */
    public record MisfitDocument(Misfit.Kind kind, MessageDocument what, MessageDocument why, MessageDocument remedy) {}

    /**
     * One hose with what joins it.
     *
     * @param name feed or return
     * @param found whether its route is good
     * @param inTheWay what has to move when there is none
     * @param fromPort where the oil comes from
     * @param toPort where it goes
     * @param chain what is screwed together, from port to port
     * @param joints every joint
     * @param alternatives other chains of adaptors
     * @param corners corners of the centre line; empty without a route
     * @param points its centre line, a point about every centimetre
     * @param leastRadiusMm least radius of its arcs; missing when it is straight
     * @param troubles what cannot stay so
     * @param holes holes that it leads through
     * @param cut what is cut and marked; missing without a route
     */
    public record PlumbedLine(
            String name,
            boolean found,
            List<String> inTheWay,
            @Missing("not measured") PlumbingDocument.PointDocument fromPort,
            @Missing("not measured") PlumbingDocument.PointDocument toPort,
            List<ChainPart> chain,
            List<JointDocument> joints,
            List<Alternative> alternatives,
            List<PlumbingDocument.PointDocument> corners,
            List<PlumbingDocument.PointDocument> points,
            @Missing("a straight hose") Double leastRadiusMm,
            List<TroubleDocument> troubles,
            List<PassageDocument> holes,
            @Missing("without a route") Cut cut) {}

    /**
     * A part of a chain.
     *
     * @param what what it is
     * @param number maker and number; empty for the engine's and the core's own ports
     * @param left its end towards where the oil comes from
     * @param right its end towards where it goes
     */
    public record ChainPart(String what, String number, String left, String right) {}

    /**
     * A joint.
     *
     * @param between the two parts
     * @param words how it is joined
     * @param tight whether it is tight
     * @param whyNot why not, when it is not
     * @param seal what makes it tight
     * @param onThread what goes on it
     * @param wrenchMm width across flats
     * @param torqueLowNm least torque
     * @param torqueHighNm greatest torque
     * @param turn turn past finger tight, in words
     * @param source where the figures are from
     * @param makers whether they are the maker's own
     * @param oiled whether they hold for an oiled thread
     * @param retorque when it is tightened again
     */
    public record JointDocument(
            String between,
            String words,
            boolean tight,
            @Missing("it is tight") String whyNot,
            String seal,
            String onThread,
            @Missing("not known") Double wrenchMm,
            @Missing("none published") Double torqueLowNm,
            @Missing("none published") Double torqueHighNm,
            String turn,
            String source,
            boolean makers,
            boolean oiled,
            MakersFigure.Retorque retorque) {}

    /**
     * Another chain of adaptors at one end.
     *
     * @param end which end
     * @param wish what it is best at
     * @param adaptors numbers of its adaptors; none where the ends mate by themselves
     * @param price their price
     * @param heads velocity heads lost in them
     * @param joints number of joints
     */
    public record Alternative(
            String end,
            isotherm.core.line.FittingChain.Wish wish,
            List<String> adaptors,
            double price,
            double heads,
            int joints) {}

    /**
     * Somewhere along a hose that cannot stay so.
     *
     * @param at where
     * @param what what is too near, or the bend
     * @param kind what it is
     * @param missingMm how much is missing
     */
    public record TroubleDocument(
            PlumbingDocument.PointDocument at, String what, @Missing("no box") Bay.Kind kind, double missingMm) {}

    /**
     * A hole that a hose leads through.
     *
     * @param name the hole
     * @param endPasses whether a hose with its end on goes through
     */
    public record PassageDocument(String name, boolean endPasses) {}

    /**
     * What is cut, marked and turned.
     *
     * @param wireMm what a wire along its way measures, from port to port
     * @param bends right angles that the hose goes round
     * @param centreLineMm from seat to seat
     * @param deductionFromMm what the first end takes of it
     * @param deductionToMm what the second end takes of it
     * @param insertionFromMm how far the hose goes into the first end
     * @param insertionToMm how far it goes into the second
     * @param slackMm added for the engine's movement
     * @param cutMm length to cut
     * @param toleranceMm one standard deviation of it
     * @param standardMm standard length to buy, for lines that cannot be shortened
     * @param twistDeg angle from the first elbow to the second, clockwise seen along the hose
     * @param clipsMm where it is held, from the first collar
     * @param fromEnd hose end at the first port
     * @param toEnd hose end at the last port
     * @param order order of work
     */
    public record Cut(
            double wireMm,
            double bends,
            double centreLineMm,
            double deductionFromMm,
            double deductionToMm,
            double insertionFromMm,
            double insertionToMm,
            double slackMm,
            double cutMm,
            double toleranceMm,
            @Missing("cut to length") Double standardMm,
            @Missing("an end is straight") Double twistDeg,
            List<Double> clipsMm,
            String fromEnd,
            String toEnd,
            List<MessageDocument> order) {}

    /**
     * The hoses as the oil circuit knows them.
     *
     * @param feed hose to the core
     * @param back hose from the core
     * @param plateHeads velocity heads lost in takeoff, adaptors and accessories
     * @param extraVolumeL oil in accessories
     */
    public record Loop(
            DesignDocument.HoseDocument feed,
            DesignDocument.HoseDocument back,
            double plateHeads,
            double extraVolumeL) {}

    /**
     * What it does to the oil.
     *
     * @param oilC oil temperature that it is reckoned at: the peak of the duty
     * @param losses pressure loss by component at the highest speed
     * @param points gallery pressure against its floor
     * @param addedOilL oil that cooler, hoses and accessories take; what an empty loop is primed with
     * @param primeSeconds time that an empty loop takes to fill at idle
     * @param drainSeconds time in which a failed joint at the highest speed empties the sump
     * @param massKg mass of takeoff, fittings and hoses without oil
     * @param price price of all parts
     */
    public record PlumbFigures(
            double oilC,
            List<OutcomeDocument.Loss> losses,
            List<OutcomeDocument.PressurePoint> points,
            double addedOilL,
            double primeSeconds,
            double drainSeconds,
            double massKg,
            double price) {}

    /**
     * The same with a hose of another size.
     *
     * @param dash dash size
     * @param hose number of the hose
     * @param chosen whether it is the one chosen
     * @param found whether both routes are good
     * @param lossBar pressure loss of the whole loop at the highest speed with hot oil
     * @param hotIdleBar gallery pressure at hot idle
     * @param hotTopBar gallery pressure at the highest speed with hot oil
     * @param underFloor whether any gallery pressure is under its floor although it is not without a cooler
     * @param addedOilL added oil
     * @param primeSeconds time that an empty loop takes to fill at idle
     * @param massKg mass without oil
     * @param price price of all parts
     */
    public record Size(
            String dash,
            String hose,
            HoseType.Family family,
            boolean chosen,
            boolean found,
            @Missing("without both routes") Double lossBar,
            @Missing("without both routes") Double hotIdleBar,
            @Missing("without both routes") Double hotTopBar,
            @Missing("without both routes") Boolean underFloor,
            @Missing("without both routes") Double addedOilL,
            @Missing("without both routes") Double primeSeconds,
            double massKg,
            double price) {}

    /**
     * A line of the bill.
     *
     * @param key what it is known by when it is struck off
     * @param group what it belongs to
     * @param what what it is
     * @param number maker and number
     * @param quantity how much: pieces, or in the metric unit of what it is sold by
     * @param measure what it is sold by
     * @param each price of one piece or metric unit
     * @param have whether its people have it already
     */
    public record Bill(
            String key,
            BillLine.Group group,
            MessageDocument what,
            String number,
            double quantity,
            @Missing("pieces") Measure measure,
            double each,
            boolean have) {}

    /**
     * Kit against loose parts, all of them estimates.
     *
     * @param loosePrice price of the loose parts
     * @param kitPrice price of a kit made to fit
     * @param looseHours hours with loose parts
     * @param kitHours hours with the kit
     * @param toBuy price of the loose parts that are not there yet
     */
    public record Kit(double loosePrice, double kitPrice, double looseHours, double kitHours, double toBuy) {}
}
