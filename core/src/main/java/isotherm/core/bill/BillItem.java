package isotherm.core.bill;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What can stand on a bill. */
public enum BillItem implements MessageTopic {
    /** Core. */
    CORE,
    /** Thermostat. */
    THERMOSTAT,
    /** Fan. */
    FAN,
    /** Mesh. */
    MESH,
    /** Shroud. */
    SHROUD,
    /** Skid plate. */
    SKID_PLATE,
    /** Sheet for a bracket. */
    BRACKET,
    /** Sheet for a panel. */
    PANEL,
    /** Clamp. */
    CLAMP,
    /** Bolt. */
    BOLT,
    /** Rivet nut. */
    RIVET_NUT,
    /** Rubber mount. */
    RUBBER_MOUNT,
    /** What closes the seat of an exchanger. */
    EXCHANGER_SEAT,
    /** Heat sleeve. */
    HEAT_SLEEVE,
    /** Takeoff. */
    TAKEOFF,
    /** Adaptor. */
    ADAPTOR,
    /** Hose end. */
    HOSE_END,
    /** Made up line. */
    MADE_UP_LINE,
    /** Hose. */
    HOSE,
    /** Accessory. */
    ACCESSORY,
    /** Tee for an accumulator or a sender. */
    TEE,
    /** The third hose, to an accumulator. */
    THIRD_HOSE,
    /** Check valve. */
    CHECK_VALVE,
    /** Restrictor of a by-pass filter, with its way back to the sump. */
    RESTRICTOR,
    /** Sender. */
    SENDER,
    /** Adaptor of a sender. */
    SENDER_ADAPTOR,
    /** Clamp over the barbs. */
    BAND_CLAMP,
    /** Hose that joins two coolant hoses. */
    COOLANT_HOSE,
    /** Caps on coolant stubs. */
    COOLANT_CAPS,
    /** Coolant that is lost. */
    COOLANT,
    /** P clip. */
    P_CLIP,
    /** Separator. */
    SEPARATOR,
    /** Engine oil. */
    ENGINE_OIL,
    /** Oil of an ordinary change. */
    ENGINE_OIL_CHANGE,
    /** Oil filter. */
    OIL_FILTER,
    /** Tape. */
    TAPE,
    /** Bonded washer. */
    BONDED_WASHER,
    /** Copper washer. */
    COPPER_WASHER,
    /** O ring. */
    O_RING,
    /** Sundries. */
    SUNDRIES,
    /** Foam. */
    FOAM,
    /** Paint for the holes of bolts. */
    PAINT_AT_BOLTS,
    /** Paint for the holes of rivet nuts. */
    PAINT_AT_RIVET_NUTS,
    /** Wrenches. */
    WRENCHES,
    /** Hose tools. */
    HOSE_TOOLS,
    /** Rivet tool. */
    RIVET_TOOL,
    /** Safety tools. */
    SAFETY_TOOLS;

    @Override
    public String chapter() {
        return "bill";
    }

    @Override
    public List<String> parts() {
        return List.of("what");
    }
}
