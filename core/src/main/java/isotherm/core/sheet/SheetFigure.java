package isotherm.core.sheet;

import isotherm.core.message.MessageTopic;
import java.util.List;

/** What a figure or a reading of a run sheet is. */
enum SheetFigure implements MessageTopic {
    /** Oil temperature. */
    OIL_TEMPERATURE,
    /** Oil that may come. */
    OIL_THAT_MAY_COME,
    /** Hole. */
    HOLE,
    /** Switches on. */
    SWITCHES_ON,
    /** Its bolt or nut. */
    BOLT_OR_NUT,
    /** Torque used. */
    TORQUE_USED,
    /** Height that it adds. */
    HEIGHT_ADDED,
    /** Seat to seat, at least. */
    SEAT_TO_SEAT,
    /** Cut. */
    CUT,
    /** Hose inside the first end. */
    INSIDE_FIRST_END,
    /** Hose inside the second end. */
    INSIDE_SECOND_END,
    /** Oil in core and hoses. */
    OIL_IN_LOOP,
    /** Clip. */
    CLIP,
    /** Torque or angle used. */
    TORQUE_OR_ANGLE_USED,
    /** Torque. */
    TORQUE,
    /** Past finger tight. */
    PAST_FINGER_TIGHT,
    /** Of a sheet. */
    THICKNESS,
    /** Of a flat pattern. */
    LENGTH,
    /** Of a flat pattern. */
    WIDTH,
    /** A bend line, from the car's end. */
    BEND_AT,
    /** Turn after contact, by the maker. */
    PAST_CONTACT,
    /** What a core is made for. */
    CORE_MADE_FOR,
    /** What it sees at its coldest start. */
    CORE_SEES,
    /** Gas pressure before any oil. */
    PRE_CHARGE,
    /** Free swing of a wrench. */
    WRENCH_SWINGS,
    /** It takes. */
    ACCUMULATOR_TAKES,
    /** Ordinary change. */
    ORDINARY_CHANGE,
    /** For the cooler. */
    FOR_THE_COOLER,
    /** Oil poured in all. */
    OIL_POURED,
    /** At least. */
    AT_LEAST,
    /** Pressure while cranking. */
    CRANKING_PRESSURE,
    /** Oil topped up. */
    OIL_TOPPED_UP,
    /** Thermostat opens. */
    THERMOSTAT_OPENS,
    /** May be loaded. */
    MAY_BE_LOADED,
    /** Far end of the core. */
    FAR_END,
    /** Load from. */
    LOAD_FROM,
    /** Highest oil temperature. */
    HIGHEST_OIL,
    /** Coolant that was poured in. */
    COOLANT_POURED,
    /** Oil at each change. */
    OIL_AT_CHANGE;

    @Override
    public String chapter() {
        return "sheetFigure";
    }

    @Override
    public List<String> parts() {
        return List.of("name");
    }
}
