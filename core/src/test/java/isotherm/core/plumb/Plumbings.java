package isotherm.core.plumb;

import isotherm.core.catalogue.PlumbingParts;
import isotherm.core.exchanger.Construction;
import isotherm.core.exchanger.Core;
import isotherm.core.exchanger.CoreDetail;
import isotherm.core.exchanger.Finish;
import isotherm.core.exchanger.Ports;
import isotherm.core.line.FittingChain;
import isotherm.core.nose.Placement;
import isotherm.core.parts.Accessory;
import isotherm.core.parts.Circuit;
import isotherm.core.parts.End;
import isotherm.core.parts.HoseType;
import isotherm.core.parts.Joint;
import isotherm.core.parts.Parts;
import isotherm.core.route.Bay;
import isotherm.core.takeoff.FilterStand;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A bay with room, an engine with a filter, and what is plumbed between it and a core. */
public final class Plumbings {
    public static final Parts PARTS = PlumbingParts.shipped();
    public static final End CORE_PORT = new End(Joint.O_RING_BOSS, "-10", false);
    public static final Bay BAY = new Bay(
            new Bay.Box("bay", Bay.Kind.SOLID, new Vector3D(-0.8, 0.15, 0), new Vector3D(0.8, 1, 1.4)),
            List.of(new Bay.Box(
                    "engine block", Bay.Kind.SOLID, new Vector3D(-0.25, 0.25, 0.7), new Vector3D(0.3, 0.75, 1.2))),
            List.of());
    public static final FilterStand STAND = new FilterStand(
            "M20x1.5",
            0.058,
            0.074,
            0.024,
            new Vector3D(-0.4, 0.45, 0.9),
            Vector3D.MINUS_J,
            0.25,
            0,
            new FilterStand.Filter(0.066, 0.09, 0.076, true, false, true, false),
            List.of());

    public static Core core(Ports ports, int passes) {
        return new Core(
                Construction.STACKED_PLATE,
                13,
                0.28,
                0.05,
                passes,
                Finish.BARE,
                ports,
                CoreDetail.typical(Construction.STACKED_PLATE));
    }

    public static Placement at(double x, double y, double z, double tilt) {
        return new Placement(x, y, z, tilt, false, false, false, List.of());
    }

    public static Plumbing.Choice choice(HoseType.Family family, List<Accessory> accessories) {
        return choice(family, Circuit.PLAIN.with(accessories));
    }

    public static Plumbing.Choice choice(HoseType.Family family, Circuit circuit) {
        return new Plumbing.Choice(
                PARTS.takeoffs().stream()
                        .filter(t -> t.number().equals("HP-M20"))
                        .findFirst()
                        .orElseThrow(),
                Math.toRadians(330),
                PARTS.hoses().stream()
                        .filter(h -> h.family() == family && h.dash().equals("-10"))
                        .findFirst()
                        .orElseThrow(),
                FittingChain.Wish.JOINTS,
                List.of(),
                List.of(),
                false,
                Plumbing.FeedPort.LOWER,
                0.015,
                false,
                circuit,
                Optional.empty());
    }

    public static Plumbing plan(Core core, Plumbing.Choice choice) {
        return Planner.byBay(STAND, BAY, core, at(0, 0.4, 0.2, 0), CORE_PORT, choice, PARTS, true, () -> false);
    }

    private Plumbings() {}
}
