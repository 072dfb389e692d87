package isotherm.server.plumbing;

import isotherm.core.catalogue.CorePart;
import isotherm.core.exchanger.Core;
import isotherm.core.hydraulics.OilThermostat;
import isotherm.core.nose.Placement;
import isotherm.core.plumb.BillLine;
import isotherm.core.plumb.Plumbing;
import isotherm.core.simulate.Design;
import isotherm.server.contract.Rounding;
import isotherm.server.garage.DesignDocument;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a design buys beside its plumbing: core, air, mounts, thermostat. */
final class DesignBill {
    private DesignBill() {}

    static List<BillLine> of(
            Design design,
            DesignDocument.CoolerDocument document,
            Plumbing plan,
            boolean sleeved,
            List<CorePart> cores) {
        Design.Cooler c = design.cooler().orElseThrow();
        List<BillLine> bill = new ArrayList<>();
        bill.add(core(c.core(), cores));
        c.loop()
                .thermostat()
                .filter(t -> t.site() == OilThermostat.Site.IN_LINE
                        || !plan.takeoff().thermostat())
                .ifPresent(t -> bill.add(part(String.format(
                        Locale.ROOT,
                        "thermostat %s, opens at %.0f °C",
                        t.site() == OilThermostat.Site.HOUSING ? "for the filter housing" : "in line",
                        Rounding.celsius(t.opensK())))));
        c.airway()
                .fan()
                .ifPresent(f -> bill.add(part(String.format(
                        Locale.ROOT,
                        "fan, %.2f m³/s, with switch %.0f/%.0f °C, relay and fuse",
                        f.freeFlow(),
                        Rounding.celsius(f.onK()),
                        Rounding.celsius(f.offK())))));
        if (document.mesh()) {
            bill.add(part("stone mesh for the opening"));
        }
        DesignDocument.PlacementDocument p = document.placement();
        if (p.shroud()) {
            bill.add(part("sheet for the shroud"));
        }
        if (Boolean.TRUE.equals(p.skidPlate())) {
            bill.add(part("skid plate under the core"));
        }
        mounts(p.mounts(), bill);
        if (p.foam()) {
            bill.add(line(BillLine.Group.CONSUMABLES, "foam strip for the shroud's joints", 2, "m"));
        }
        if (sleeved && plan.lines().stream().allMatch(l -> l.path().isPresent())) {
            bill.add(line(
                    BillLine.Group.PARTS,
                    "heat sleeve " + plan.hose().dash(),
                    Math.ceil(plan.lines().stream()
                                            .mapToDouble(
                                                    l -> l.path().orElseThrow().length())
                                            .sum()
                                    * 2)
                            / 2,
                    "m"));
        }
        return bill;
    }

    private static void mounts(List<DesignDocument.MountDocument> mounts, List<BillLine> bill) {
        for (Placement.Method method : Placement.Method.values()) {
            long n = mounts.stream().filter(m -> m.method() == method).count();
            if (n > 0) {
                bill.add(line(
                        BillLine.Group.PARTS,
                        switch (method) {
                            case CLAMP -> "bracket that clamps";
                            case BOLT -> "bolt with washers and lock nut";
                            case RIVET_NUT -> "rivet nut with bolt";
                        },
                        n,
                        "pcs"));
                if (method == Placement.Method.RIVET_NUT) {
                    bill.add(line(BillLine.Group.TOOLS, "rivet-nut tool and drill", 1, "pcs"));
                }
                if (method != Placement.Method.CLAMP) {
                    bill.add(line(BillLine.Group.CONSUMABLES, "paint for bare holes, " + word(method), 1, "pcs"));
                }
            }
        }
        long rubber =
                mounts.stream().filter(DesignDocument.MountDocument::rubber).count();
        if (rubber > 0) {
            bill.add(line(BillLine.Group.PARTS, "rubber mount", rubber, "pcs"));
        }
    }

    private static String word(Placement.Method method) {
        return method == Placement.Method.BOLT ? "bolts" : "rivet nuts";
    }

    private static BillLine core(Core core, List<CorePart> cores) {
        Optional<CorePart> found = cores.stream()
                .filter(p -> p.core().construction() == core.construction()
                        && p.core().rows() == core.rows()
                        && p.core().passes() == core.passes()
                        && Math.abs(p.core().width() - core.width()) < 1e-6
                        && Math.abs(p.core().depth() - core.depth()) < 1e-6)
                .min(Comparator.comparingDouble(CorePart::price));
        return new BillLine(
                BillLine.Group.PARTS,
                String.format(
                        Locale.ROOT,
                        "core, %d rows of %.0f mm, %s",
                        core.rows(),
                        core.width() * 1e3,
                        core.construction().name().toLowerCase(Locale.ROOT).replace('_', ' ')),
                found.map(p -> p.maker() + " " + p.number()).orElse(""),
                1,
                "pcs",
                found.map(CorePart::price).orElse(0.0));
    }

    private static BillLine part(String what) {
        return line(BillLine.Group.PARTS, what, 1, "pcs");
    }

    private static BillLine line(BillLine.Group group, String what, double quantity, String unit) {
        return new BillLine(group, what, "", quantity, unit, 0);
    }
}
