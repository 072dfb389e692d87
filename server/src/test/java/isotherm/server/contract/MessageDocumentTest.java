package isotherm.server.contract;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import isotherm.core.findings.Finding;
import isotherm.core.fit.FitNote;
import isotherm.core.message.Measure;
import isotherm.core.message.Message;
import isotherm.core.simulate.Factor;
import isotherm.server.build.BuildDocuments.EntryDocument;
import isotherm.words.UnitChoice;
import isotherm.words.Words;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

class MessageDocumentTest {
    private static final JsonMapper JSON = JsonMapper.builder()
            .changeDefaultPropertyInclusion(i -> com.fasterxml.jackson.annotation.JsonInclude.Value.ALL_NON_NULL)
            .build();

    private static Message thereAndBack(Message m) {
        return DocumentReader.read(JSON.writeValueAsString(MessageDocument.of(m)), MessageDocument.class)
                .toCore();
    }

    private static String say(Message m) {
        return Words.english().render(m, UnitChoice.IMPERIAL);
    }

    @Test
    void aMessageComesBackAsItWasWritten() {
        Message hot = Finding.Topic.TOO_HOT
                .say("what")
                .choose("fails", true)
                .with("peak", Measure.TEMPERATURE, 416.15)
                .with("over", Measure.TEMPERATURE_DIFFERENCE, 13)
                .with("bound", Measure.TEMPERATURE, 403.15);
        assertThat(say(thereAndBack(hot)))
                .isEqualTo(say(hot))
                .isEqualTo("Oil peaks at 289 °F, 23 °F over its limit of 266 °F");
        Message pressure = Finding.Topic.PRESSURE
                .say("why")
                .with("speed", Measure.ENGINE_SPEED, 100)
                .with("oil", Measure.TEMPERATURE, 400)
                .with("bare", Measure.PRESSURE, 2.34e5, 1)
                .with("loop", Measure.PRESSURE, 0.5e5, 1);
        assertThat(thereAndBack(pressure).key()).isEqualTo(pressure.key());
        assertThat(Words.english().render(thereAndBack(pressure), UnitChoice.METRIC))
                .contains("2.3 bar", "6000 rpm");
        Message nested = FitNote.TIED
                .say("text")
                .say("first", Factor.HEAT.say("name"))
                .say("second", Factor.LOSSES.say("name"))
                .with("correlation", Measure.NUMBER, 0.98);
        assertThat(thereAndBack(nested)).isEqualTo(nested);
        assertThat(thereAndBack(FitNote.GAPS.say("text").count("gaps", 1).with("least", Measure.TIME, 5)))
                .isEqualTo(FitNote.GAPS.say("text").count("gaps", 1).with("least", Measure.TIME, 5));
    }

    @Test
    void anEntryTakesOnlyAnAlarmsMessageThatIsInTheCatalogue() {
        String entry =
                """
                {"id":"3e9b174d-820a-438d-9aa1-b447738e4781","at":"2026-11-26T10:00:00Z","who":"Ada","kind":"%s","text":"x",
                 "message":{"key":"%s","values":{}}}""";
        assertThat(DocumentReader.read(entry.formatted("ALARM", "alarm.NO_PRESSURE.what"), EntryDocument.class)
                        .message())
                .isNotNull();
        assertThatThrownBy(
                        () -> DocumentReader.read(entry.formatted("ALARM", "alarm.NOTHING.what"), EntryDocument.class))
                .hasMessageContaining("/message");
        assertThatThrownBy(() ->
                        DocumentReader.read(entry.formatted("NOTE", "alarm.NO_PRESSURE.what"), EntryDocument.class))
                .hasMessageContaining("/message");
    }
}
