package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What the steps of a run sheet say: what is done, why, and what can hurt where something can. */
enum StepText implements MessageTopic {
    PREPARE_PARTS(false),
    PREPARE_STANDS(true),
    PREPARE_COLD(true),
    PREPARE_BATTERY(false),
    PREPARE_DRAIN(true),
    STRIP_LIST(true),
    COOLANT_DRAIN(true),
    OLD_CORE_OFF(true),
    OLD_HOSES_OFF(true),
    EXCHANGER_SEAT(false),
    CORE_ACCEPT(true),
    MOUNT_TEMPLATE(false),
    MOUNT_BRACKET(true),
    MOUNT_PANEL(true),
    MOUNT_DRILL(true),
    MOUNT_CORE(false),
    MOUNT_SHROUD(false),
    MOUNT_SKID_PLATE(false),
    MOUNT_MESH(false),
    MOUNT_FAN(true),
    TAKEOFF_FACE(true),
    TAKEOFF_FIT(false),
    TAKEOFF_BLOCK(false),
    THERMOSTAT_SWAP(true),
    TAKEOFF_SENDERS(false),
    SENDER(false),
    EXCHANGER_OFF(true),
    MAKE_ROOM(true),
    OUT_OF_REACH(false),
    TAKEOFF_FILTER(false),
    BENCH_MEASURE(false),
    BENCH_CUT(true),
    BENCH_CLAMPS(false),
    BENCH_HEAT(true),
    BENCH_ENDS(false),
    BENCH_TURN(true),
    BENCH_FLUSH(true),
    BENCH_BY_HAND(true),
    PREFILL_CORE(false),
    LINE_CLIPS(false),
    LINE_OWN_JOINT(false),
    LINE_JOINT_UNPLANNED(false),
    LINES_STAY(true),
    LINES_IN_SERIES(false),
    LINES_BEGIN(true),
    LINE_JOINT(false),
    LINES_CLEAR(false),
    FILL_PRECHARGE(true),
    FILL_ACCUMULATOR(true),
    FILL_COOLANT(true),
    OPEN_ACCUMULATOR(true),
    FILL_LOOP(false),
    FILL_ENGINE(false),
    FILL_BATTERY(false),
    CRANK_PRESSURE(true),
    CRANK_JOINTS(false),
    FIRST_IDLE(true),
    FIRST_LEVEL(false),
    WARM_OIL(true),
    WARM_FAR_END(true),
    WARM_COOLANT(true),
    WARM_JOINTS(true),
    REFIT_LIST(false),
    REFIT_AIR(false),
    DRIVE_GENTLE(true),
    SECOND_JOINTS(true),
    SECOND_RETORQUE(true),
    SECOND_COOLANT(true),
    SECOND_LEVEL(false),
    SECOND_HAND_OVER(false);

    private final boolean dangerous;

    StepText(boolean dangerous) {
        this.dangerous = dangerous;
    }

    boolean dangerous() {
        return dangerous;
    }

    @Override
    public String chapter() {
        return "step";
    }

    @Override
    public List<String> parts() {
        return dangerous ? List.of("what", "why", "caution") : List.of("what", "why");
    }
}
