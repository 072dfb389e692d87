package isotherm.server.logs;

import static org.assertj.core.api.Assertions.assertThat;

import isotherm.server.evidence.Channel;
import isotherm.server.evidence.LogFormat;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Thirty ways in which loggers name columns and units: none is read in a wrong unit; what is not known is left unread. */
class LogStylesTest {
    /** A plausible reading of each channel in each unit in which it is written. */
    private static final Map<String, String> READINGS = Map.ofEntries(
            Map.entry("TIME S", "0.5"),
            Map.entry("TIME MS", "500"),
            Map.entry("TIME MIN", "0.01"),
            Map.entry("SPEED KMH", "142"),
            Map.entry("SPEED MPH", "88"),
            Map.entry("SPEED MPS", "39.4"),
            Map.entry("SPEED KNOT", "77"),
            Map.entry("RPM RPM", "5400"),
            Map.entry("POWER KW", "140"),
            Map.entry("POWER HP", "190"),
            Map.entry("OIL C", "112"),
            Map.entry("OIL F", "234"),
            Map.entry("OIL K", "385"),
            Map.entry("OIL_RETURN C", "96"),
            Map.entry("OIL_RETURN F", "205"),
            Map.entry("COOLANT C", "93"),
            Map.entry("COOLANT F", "199"),
            Map.entry("INTAKE C", "41"),
            Map.entry("INTAKE F", "106"),
            Map.entry("AMBIENT C", "24"),
            Map.entry("AMBIENT F", "75"),
            Map.entry("PRESSURE BAR", "4.6"),
            Map.entry("PRESSURE PSI", "67"),
            Map.entry("PRESSURE KPA", "460"),
            Map.entry("LAP NONE", "3"),
            Map.entry("LATITUDE DEGREE", "51.2"),
            Map.entry("LONGITUDE DEGREE", "-2.1"),
            Map.entry("ELEVATION M", "140"),
            Map.entry("ELEVATION FT", "459"));

    @ParameterizedTest
    @CsvSource(
            delimiter = '!',
            textBlock =
                    """
            Time;VSS mph;IAT F;ECT F;Oil Temp F ! TIME S;SPEED MPH;INTAKE F;COOLANT F;OIL F
            t;v_Rad;tOel;pOel;tUmg ! TIME S;SPEED KMH;OIL C;PRESSURE BAR;AMBIENT C
            t;spd;rpm;oil_t;oil_p ! TIME S;SPEED KMH;RPM RPM;OIL C;PRESSURE BAR
            time_ms;speed_kmh;oil_temp_c;oil_press_bar ! TIME MS;SPEED KMH;OIL C;PRESSURE BAR
            timeMs;speedMph;oilTempF;oilPressPsi ! TIME MS;SPEED MPH;OIL F;PRESSURE PSI
            Zeit [s];Geschw. [km/h];Drehzahl [U/min];Öltemp. [°C] ! TIME S;SPEED KMH;RPM RPM;OIL C
            Zeit;vFzg km/h;nMot;tMot;tOel;pOel bar ! TIME S;SPEED KMH;RPM RPM;COOLANT C;OIL C;PRESSURE BAR
            Temps;Vitesse;Régime;Huile;Eau ! TIME S;SPEED KMH;RPM RPM;OIL C;COOLANT C
            Temps (s);Vitesse (km/h);Pression huile (bar);Huile (°C) ! TIME S;SPEED KMH;PRESSURE BAR;OIL C
            Tiempo;Velocidad;Aceite;Agua;Presión aceite ! TIME S;SPEED KMH;OIL C;COOLANT C;PRESSURE BAR
            Tempo;Velocità;Giri;Olio;Acqua ! TIME S;SPEED KMH;RPM RPM;OIL C;COOLANT C
            Tijd;Snelheid;Toerental;Olie ! TIME S;SPEED KMH;RPM RPM;-
            Elapsed;GPS Speed mph;Altitude ft;Latitude;Longitude ! TIME S;SPEED MPH;ELEVATION FT;LATITUDE DEGREE;LONGITUDE DEGREE
            Timestamp;Velocity m/s;Elev;lat;lon ! TIME S;SPEED MPS;ELEVATION M;LATITUDE DEGREE;LONGITUDE DEGREE
            Time s;Speed knots;Lap;Oil temp K ! TIME S;SPEED KNOT;LAP NONE;OIL K
            time;speed;water;oil;oil return ! TIME S;SPEED KMH;COOLANT C;OIL C;OIL_RETURN C
            Time;Speed MPH;Coolant F;Oil F;Oil Return F ! TIME S;SPEED MPH;COOLANT F;OIL F;OIL_RETURN F
            Time (min);Speed (kph);CLT (F);Oil (psi) ! TIME MIN;SPEED KMH;COOLANT F;PRESSURE PSI
            Time;Vehicle Speed KPH;Engine Speed RPM;Ambient F ! TIME S;SPEED KMH;RPM RPM;AMBIENT F
            clock;VSS;Outside C;Intake C;Water C ! TIME S;SPEED KMH;AMBIENT C;INTAKE C;COOLANT C
            Time;speed_mps;power_kw;oil_temp ! TIME S;SPEED MPS;POWER KW;OIL C
            Time;Speed_mph;Power_hp;OilTemp_F ! TIME S;SPEED MPH;POWER HP;OIL F
            time;Oil Press kPa;Oil Temp degC;Battery V ! TIME S;PRESSURE KPA;OIL C;-
            Time;Oil Press PSI;ECT degF;Knock ! TIME S;PRESSURE PSI;COOLANT F;-
            Zeit;Außentemp;Kühlmittel;Öl;Runde ! TIME S;AMBIENT C;COOLANT C;OIL C;LAP NONE
            Zeit;tUmg;tAns;tKw;Hoehe ! TIME S;AMBIENT C;INTAKE C;COOLANT C;ELEVATION M
            Time;Brake press bar;Steering deg;Speed km/h ! TIME S;-;-;SPEED KMH
            Time;OAT F;IAT F;CLT F ! TIME S;AMBIENT F;INTAKE F;COOLANT F
            t;v_car;n_mot;t_oil ! TIME S;SPEED KMH;RPM RPM;OIL C
            Time (ms);Speed (m/s);Height (m);Oil out F ! TIME MS;SPEED MPS;ELEVATION M;OIL_RETURN F
            """)
    void noColumnIsReadInAWrongUnit(String header, String expected) {
        String[] wanted = expected.strip().split(";");
        StringBuilder rows = new StringBuilder(header.strip()).append('\n');
        for (int row = 0; row < 4; row++) {
            int step = row;
            rows.append(List.of(wanted).stream()
                            .map(w -> w.startsWith("TIME")
                                    ? String.valueOf(step * Double.parseDouble(READINGS.get(w)))
                                    : READINGS.getOrDefault(w, "1"))
                            .collect(Collectors.joining(";")))
                    .append('\n');
        }
        LogFormat format = FormatFinder.find(rows.toString().lines().toList());
        Map<String, String> found = new TreeMap<>();
        Map<String, String> right = new TreeMap<>();
        for (int i = 0; i < wanted.length; i++) {
            LogFormat.Column column = format.columns().get(i);
            Channel.Unit unit = column.channel() == null
                    ? null
                    : Objects.requireNonNullElse(
                            column.unit(), column.channel().units().get(0));
            found.put(column.name(), column.channel() == null ? "-" : column.channel() + " " + unit);
            right.put(column.name(), wanted[i].strip());
        }
        assertThat(found).isEqualTo(right);
    }
}
