package isotherm.server.session;

import isotherm.core.findings.Finding;
import isotherm.core.findings.Verdict;
import isotherm.core.simulate.PressureCheck;
import isotherm.server.contract.MessageDocument;
import isotherm.server.contract.Missing;
import isotherm.server.garage.CarDocument;
import isotherm.server.garage.CoreSheetDocument;
import isotherm.server.garage.DesignDocument;
import java.util.List;

/**
 * What comes out of a case. Every figure is an estimate.
 *
 * @param figures figures of merit of the session
 * @param bare the same duty without a cooler
 * @param schools the same duty and design under each way of estimating the heat, before any log
 * @param planned the same duty and design with the planned power
 * @param road a cold start and 45 minutes at 80 km/h on an 8 °C day
 * @param interval how sure the figures are, when samples were asked for
 * @param balance where the heat went
 * @param core the core's own operation at the end of the time under load, when there is one
 * @param circuit oil pressures at the end of the time under load
 * @param traces the session in time
 * @param verdict whether the car needs a cooler at all
 * @param findings what the rules say, most serious first
 */
public record OutcomeDocument(
        Figures figures,
        Bare bare,
        List<SchoolFigures> schools,
        @Missing("no power planned above today's") Bare planned,
        Road road,
        @Missing("no samples asked for") Interval interval,
        Balance balance,
        @Missing("no cooler") CorePoint core,
        Circuit circuit,
        Traces traces,
        VerdictDocument verdict,
        List<FindingDocument> findings) {

    /**
     * The figures that follow a drag: the session alone, without the rules' look at it from every side.
     *
     * @param figures figures of merit of the session
     * @param bare the same duty without a cooler
     * @param traces the session in time
     */
    public record Quick(Figures figures, Bare bare, Traces traces) {}

    /**
     * Whether the car needs a cooler at all.
     *
     * @param kind the answer
     * @param unsure whether a measurement would say more than a part
     * @param what in one sentence
     * @param why the reason, in figures
     * @param options what would do, cheapest first
     */
    public record VerdictDocument(
            Verdict.Kind kind,
            boolean unsure,
            MessageDocument what,
            MessageDocument why,
            List<RemedyDocument> options) {}

    /**
     * Figures of merit of a session.
     *
     * @param peakC highest oil temperature
     * @param plateauC mean over the last third of the time under load
     * @param climbKPerMin rise over the last fifth of the time under load
     * @param peakCoolantC highest coolant temperature
     * @param aboveTargetSeconds time above the target band
     * @param aboveLimitSeconds time above the oil's limit
     * @param thermostatTravelSeconds time in which the thermostat was neither shut nor full open
     * @param fanStarts how often the core's own fan came on
     * @param meanHeatKw mean heat into the oil
     * @param viscosityAtPeakCst kinematic viscosity at the peak
     * @param lowestPressureBar lowest gallery pressure
     */
    public record Figures(
            double peakC,
            double plateauC,
            double climbKPerMin,
            double peakCoolantC,
            double aboveTargetSeconds,
            double aboveLimitSeconds,
            double thermostatTravelSeconds,
            int fanStarts,
            double meanHeatKw,
            double viscosityAtPeakCst,
            double lowestPressureBar) {}

    /**
     * One way of estimating the heat, on this duty and design.
     *
     * @param school the school, as it is before any log
     * @param meanHeatKw mean heat into the oil
     * @param peakC highest oil temperature
     * @param plateauC plateau
     * @param heatKw heat into the oil at the times of the traces
     */
    public record SchoolFigures(
            CarDocument.School school, double meanHeatKw, double peakC, double plateauC, List<Double> heatKw) {}

    /**
     * The same duty without a cooler, or with another power.
     *
     * @param peakC highest oil temperature
     * @param plateauC mean over the last third of the time under load
     * @param peakCoolantC highest coolant temperature
     */
    public record Bare(double peakC, double plateauC, double peakCoolantC) {}

    /**
     * A cold start into a cool day's road.
     *
     * @param oilC oil temperature at its end
     * @param to65Seconds time until the engine may be loaded; null when never
     * @param to80Seconds time to 80 °C; null when never
     * @param timeSeconds times of the traces
     * @param oilTraceC oil with the design
     * @param bareTraceC oil without a cooler
     */
    public record Road(
            double oilC,
            @Missing("never") Double to65Seconds,
            @Missing("never") Double to80Seconds,
            List<Double> timeSeconds,
            List<Double> oilTraceC,
            List<Double> bareTraceC) {}

    /**
     * How sure the figures are.
     *
     * @param peakLowC 10 % quantile of the peak
     * @param peakMedianC median of the peak
     * @param peakHighC 90 % quantile of the peak
     * @param plateauLowC 10 % quantile of the plateau
     * @param plateauHighC 90 % quantile of the plateau
     * @param oddsUnderLimit share of samples that stay under the oil's limit, 0 to 1
     * @param oddsUnderTarget share of samples that stay under the target's upper edge, 0 to 1
     * @param samples number of samples
     */
    public record Interval(
            double peakLowC,
            double peakMedianC,
            double peakHighC,
            double plateauLowC,
            double plateauHighC,
            double oddsUnderLimit,
            double oddsUnderTarget,
            int samples) {}

    /**
     * Where the heat went over the session.
     *
     * @param inKj into the oil
     * @param storedKj stored in oil, cooler and metal
     * @param sumpKj lost by the sump
     * @param blockKj to the coolant through the block
     * @param factoryKj to the coolant through a factory exchanger
     * @param coolerKj to the air through the cooler
     */
    public record Balance(
            double inKj, double storedKj, double sumpKj, double blockKj, double factoryKj, double coolerKj) {}

    /**
     * The core at one moment.
     *
     * @param heatKw heat from oil to air
     * @param faceSpeedMPerS air speed ahead of the open part of the face
     * @param airInC air that the core breathes; warmer than outside behind a radiator
     * @param airOutC air leaving the core, which an intake or intercooler behind it would breathe
     * @param oilOutC oil leaving the core
     * @param effectiveness heat over the largest heat that the flows allow
     * @param conductanceWPerK overall conductance
     * @param oilLossBar oil pressure loss
     * @param airLossPa air pressure loss
     * @param faceCm2 finned face
     * @param volumeL oil in the core
     * @param massKg dry mass
     * @param outsideWidthMm outside width with tanks
     * @param heightMm finned height
     * @param airLosses where the air's pressure goes
     * @param validity correlations used outside their published range
     * @param layout its outside, ports and holes, seen from its front
     */
    public record CorePoint(
            double heatKw,
            double faceSpeedMPerS,
            double airInC,
            double airOutC,
            double oilOutC,
            double effectiveness,
            double conductanceWPerK,
            double oilLossBar,
            double airLossPa,
            double faceCm2,
            double volumeL,
            double massKg,
            double outsideWidthMm,
            double heightMm,
            List<Loss> airLosses,
            List<ValidityNote> validity,
            CoreSheetDocument layout) {}

    /**
     * One part of a pressure balance.
     *
     * @param what the part
     * @param pa what it costs
     */
    public record Loss(String what, double pa) {}

    /**
     * A correlation used outside its published range.
     *
     * @param quantity what is out of range
     * @param value the value it was used at
     * @param low lower end of the range
     * @param high upper end of the range
     * @param unit unit
     * @param source where the correlation is published
     */
    public record ValidityNote(String quantity, double value, double low, double high, String unit, String source) {}

    /**
     * Oil pressures at one moment.
     *
     * @param rpm engine speed
     * @param oilC oil temperature
     * @param engineLPerMin flow through the engine
     * @param coolerLPerMin flow through the core
     * @param reliefLPerMin flow back over the relief valve
     * @param galleryBar gallery pressure
     * @param bareGalleryBar gallery pressure without the loop
     * @param losses loss of the loop by component
     * @param addedOilL oil that the loop holds
     * @param primeSeconds time that an empty loop takes to fill at idle
     * @param drainSeconds time in which a failed joint at the highest speed empties the sump
     * @param points pressure against its floor at idle, torque peak and highest speed, hot and cold
     */
    public record Circuit(
            double rpm,
            double oilC,
            double engineLPerMin,
            double coolerLPerMin,
            double reliefLPerMin,
            double galleryBar,
            double bareGalleryBar,
            List<Loss> losses,
            double addedOilL,
            double primeSeconds,
            double drainSeconds,
            List<PressurePoint> points) {}

    /**
     * Oil pressure against its floor.
     *
     * @param kind what the point is
     * @param rpm engine speed
     * @param oilC oil temperature
     * @param galleryBar gallery pressure with the design
     * @param bareGalleryBar gallery pressure without a cooler
     * @param floorBar least pressure wanted
     * @param loopBar pressure loss of the loop
     * @param reliefLPerMin flow back over the relief valve
     * @param coreBar pressure at the core's inlet, with what the relief valve rises above its setting; 0 without a cooler
     */
    public record PressurePoint(
            PressureCheck.Kind kind,
            double rpm,
            double oilC,
            double galleryBar,
            double bareGalleryBar,
            double floorBar,
            double loopBar,
            double reliefLPerMin,
            double coreBar) {}

    /**
     * The session in time; all lists are equally long.
     *
     * @param timeSeconds end of each interval
     * @param oilC oil in the sump
     * @param sensorC what the car's sensor reads
     * @param returnC oil leaving the cooler
     * @param coolantC coolant
     * @param lift thermostat lift, 0 to 1
     * @param fan the core's own fan, 0 or 1
     * @param heatKw heat into the oil
     * @param speedKmh road speed
     * @param pressureBar gallery pressure
     * @param phases named stretches
     */
    public record Traces(
            List<Double> timeSeconds,
            List<Double> oilC,
            List<Double> sensorC,
            List<Double> returnC,
            List<Double> coolantC,
            List<Double> lift,
            List<Integer> fan,
            List<Double> heatKw,
            List<Double> speedKmh,
            List<Double> pressureBar,
            List<PhaseDocument> phases) {}

    /**
     * A named stretch of a session.
     *
     * @param name its name
     * @param kind what it is
     * @param startSeconds from the start of the session
     */
    public record PhaseDocument(String name, isotherm.core.duty.DemandTrace.Kind kind, double startSeconds) {}

    /**
     * One finding.
     *
     * @param severity how serious it is
     * @param topic what it is about
     * @param station the working step at which it can be mended
     * @param background whether only an engineer asks for it
     * @param what what is wrong, with its figure and its bound
     * @param why what that does
     * @param remedy a change that would mend it
     */
    public record FindingDocument(
            Finding.Severity severity,
            Finding.Topic topic,
            Finding.Station station,
            boolean background,
            MessageDocument what,
            MessageDocument why,
            @Missing("none known") RemedyDocument remedy) {}

    /**
     * A change that would mend a finding.
     *
     * @param label what to do
     * @param design the design after it
     * @param peakC highest oil temperature after it
     * @param effect the figure that it is for, before and after
     */
    public record RemedyDocument(MessageDocument label, DesignDocument design, double peakC, MessageDocument effect) {}
}
