package isotherm.core.exchanger;

import isotherm.core.fluid.Air;
import java.util.Optional;

/** The finned side of a core, as areas and a correlation. */
final class AirSurface {
    private static final double ALUMINIUM_CONDUCTIVITY = 180;

    private final Core core;
    private final double freeArea;
    private final double totalArea;
    private final double finShare;
    private final double sigma;
    private final double length;
    private final LouvredFin louvred;
    private final double louvredCoefficient;
    private final double louvredLow;
    private final double louvredHigh;
    private final OffsetStrip strip;
    private final PlainFinTubes tubes;

    AirSurface(Core core) {
        this.core = core;
        CoreDetail d = core.detail();
        this.length = core.depth();
        double fin = core.finHeight();
        if (core.construction() == Construction.TUBE_AND_FIN) {
            double od = d.oilGap() + 2 * d.plate();
            double collar = od + 2 * d.finThickness();
            double fins = core.width() / d.finPitch();
            int deep = core.tubesDeep();
            double longitudinal = core.depth() / deep;
            double blocked = core.rows() * collar * core.width();
            this.freeArea = (core.faceArea() - blocked) * (1 - d.finThickness() / d.finPitch());
            double finArea =
                    2 * fins * (core.height() * core.depth() - core.rows() * deep * Math.PI / 4 * collar * collar);
            double tubeArea =
                    core.rows() * deep * Math.PI * collar * core.width() * (1 - d.finThickness() / d.finPitch());
            this.totalArea = finArea + tubeArea;
            this.finShare = finArea / totalArea;
            double dh = 4 * freeArea * length / totalArea;
            this.tubes = new PlainFinTubes(collar, d.rowPitch(), longitudinal, d.finPitch(), deep, dh);
            this.louvred = null;
            this.strip = null;
            this.louvredCoefficient = 0;
            this.louvredLow = 0;
            this.louvredHigh = 0;
        } else {
            double channels = core.width() / d.finPitch() * (core.rows() + 1);
            double clear = d.finPitch() - d.finThickness();
            double clearHeight = fin - d.finThickness();
            // Bars close the two ends of every air passage of a bar-and-plate core.
            double open = core.construction() == Construction.BAR_AND_PLATE ? 1 - 10e-3 / core.width() : 1;
            this.freeArea = channels * clear * clearHeight * open;
            double finArea = channels * 2 * fin * length * open;
            double primeArea = channels * 2 * clear * length * open;
            this.totalArea = finArea + primeArea;
            this.finShare = finArea / totalArea;
            this.tubes = null;
            if (core.construction() == Construction.STACKED_PLATE) {
                this.louvred = new LouvredFin(
                        d.finPitch(),
                        fin,
                        d.finThickness(),
                        d.louvrePitch(),
                        0.85 * fin,
                        d.louvreAngle(),
                        d.rowPitch(),
                        core.tubeHeight(),
                        length);
                this.louvredCoefficient = louvred.colburnCoefficient();
                this.louvredLow = louvred.lowCoefficient();
                this.louvredHigh = louvred.highCoefficient();
                this.strip = null;
            } else {
                this.strip = new OffsetStrip(clear, clearHeight, d.finThickness(), d.louvrePitch());
                this.louvred = null;
                this.louvredCoefficient = 0;
                this.louvredLow = 0;
                this.louvredHigh = 0;
            }
        }
        this.sigma = freeArea / core.faceArea();
    }

    double freeArea() {
        return freeArea;
    }

    double totalArea() {
        return totalArea;
    }

    double reynolds(double massFlow, double viscosity) {
        double g = massFlow / freeArea;
        if (louvred != null) {
            return g * louvred.louvrePitch() / viscosity;
        }
        if (strip != null) {
            return g * strip.hydraulicDiameter() / viscosity;
        }
        return g * tubes.collarDiameter() / viscosity;
    }

    /** η₀·h·A in W/K at a mass flow in kg/s over the whole face and a mean air temperature in K. */
    double conductance(double massFlow, double meanK) {
        if (massFlow <= 0) {
            return 0;
        }
        double re = reynolds(massFlow, Air.viscosity(meanK));
        double j;
        if (louvred != null) {
            j = louvredCoefficient * Math.pow(re, -0.49);
        } else if (strip != null) {
            j = strip.colburn(re);
        } else {
            j = tubes.colburn(re);
        }
        double h = j * massFlow / freeArea * Air.SPECIFIC_HEAT * Math.pow(Air.PRANDTL, -2.0 / 3.0);
        return surfaceEfficiency(h) * h * totalArea * core.finish().factor();
    }

    private double surfaceEfficiency(double h) {
        double m = Math.sqrt(2 * h / (ALUMINIUM_CONDUCTIVITY * core.detail().finThickness()));
        double ml;
        if (tubes != null) {
            // Schmidt's equivalent circular fin for a staggered plate fin.
            double r = tubes.collarDiameter() / 2;
            double xm = tubes.transversePitch() / 2;
            double xl = Math.hypot(xm, tubes.longitudinalPitch()) / 2;
            double ratio = 1.27 * xm / r * Math.sqrt(Math.max(xl / xm - 0.3, 0.1));
            ml = m * r * (ratio - 1) * (1 + 0.35 * Math.log(ratio));
        } else {
            ml = m * core.finHeight() / 2;
        }
        double fin = ml < 1e-6 ? 1 : Math.tanh(ml) / ml;
        return 1 - finShare * (1 - fin);
    }

    /** Static pressure loss in Pa after Kays and London: entrance, acceleration, friction, exit. */
    double pressureDrop(double massFlow, double inK, double outK, double pascal) {
        if (massFlow <= 0) {
            return 0;
        }
        double meanK = (inK + outK) / 2;
        double re = reynolds(massFlow, Air.viscosity(meanK));
        double f;
        if (louvred != null) {
            f = louvred.friction(re, louvredLow, louvredHigh);
        } else if (strip != null) {
            f = strip.friction(re);
        } else {
            f = tubes.friction(re);
        }
        double rhoIn = Air.density(inK, pascal);
        double rhoOut = Air.density(outK, pascal);
        double rhoMean = Air.density(meanK, pascal);
        double g = massFlow / freeArea;
        double s2 = sigma * sigma;
        // Parallel-plate passages at high Reynolds number, Kays and London figure 5-3.
        double kc = 0.42 * (1 - s2);
        double ke = (1 - sigma) * (1 - sigma);
        return g
                * g
                / (2 * rhoIn)
                * ((kc + 1 - s2)
                        + 2 * (rhoIn / rhoOut - 1)
                        + f * totalArea / freeArea * rhoIn / rhoMean
                        - (1 - s2 - ke) * rhoIn / rhoOut);
    }

    Optional<Validity> validity(double massFlow, double meanK) {
        double re = reynolds(massFlow, Air.viscosity(meanK));
        double low;
        double high;
        String source;
        if (louvred != null) {
            low = LouvredFin.RE_LOW;
            high = LouvredFin.RE_HIGH;
            source = "Chang and Wang 1997";
        } else if (strip != null) {
            low = OffsetStrip.RE_LOW;
            high = OffsetStrip.RE_HIGH;
            source = "Manglik and Bergles 1995";
        } else {
            low = PlainFinTubes.RE_LOW;
            high = PlainFinTubes.RE_HIGH;
            source = "Wang, Chi and Chang 2000";
        }
        return re >= low && re <= high
                ? Optional.empty()
                : Optional.of(new Validity("air-side Reynolds number", re, low, high, "", source));
    }
}
