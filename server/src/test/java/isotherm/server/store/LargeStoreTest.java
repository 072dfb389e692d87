package isotherm.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import isotherm.server.testing.RunningServer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class LargeStoreTest {
    private static final LargeStore STORE = RunningServer.get().bean(LargeStore.class);
    private static final Garage GARAGE = RunningServer.get().bean(Garage.class);
    private static final UUID CAR = GARAGE.cars().stream()
            .filter(c -> c.document().contains("Aldane Corvid"))
            .findFirst()
            .orElseThrow()
            .id();

    @Test
    void whatWentInComesOutInAnyPieces() throws IOException {
        byte[] content = new byte[3_500_017];
        new Random(1).nextBytes(content);
        LargeStore.Upload upload =
                STORE.upload(UUID.randomUUID(), CAR, "x.bin", new ByteArrayInputStream(content), 10_000_000);
        assertThat(STORE.open(upload.id()).readAllBytes()).isEqualTo(content);
        assertThat(STORE.upload(upload.id()).name()).isEqualTo("x.bin");
        var in = STORE.open(upload.id());
        assertThat(in.read()).isEqualTo(content[0] & 0xff);
        assertThat(in.readNBytes(1_200_000)).hasSize(1_200_000);
        STORE.forget(upload.id());
        assertThatExceptionOfType(NotStored.class).isThrownBy(() -> STORE.upload(upload.id()));
        assertThat(STORE.open(upload.id()).read()).isEqualTo(-1);
    }

    @Test
    void moreThanIsTakenLeavesNothing() {
        assertThatExceptionOfType(LargeStore.TooLarge.class)
                .isThrownBy(() -> STORE.upload(
                        UUID.randomUUID(), CAR, "big.bin", new ByteArrayInputStream(new byte[3_000_000]), 2_000_000))
                .withMessageContaining("2 MB");
    }

    @Test
    void aLogWhoseSourceBreaksOffIsNotThereAtAll() {
        int before = GARAGE.parts(Kind.LOG, CAR).size();
        assertThatExceptionOfType(IOException.class)
                .isThrownBy(() -> STORE.keep(UUID.randomUUID(), CAR, pieces -> {
                    pieces.add(new byte[] {1, 2, 3});
                    throw new IOException("The disk is gone");
                }));
        assertThat(GARAGE.parts(Kind.LOG, CAR)).hasSize(before);
    }

    @Test
    void aLogIsReadPieceByPieceInItsOrder() throws IOException {
        Stored log = STORE.keep(UUID.randomUUID(), CAR, pieces -> {
            for (byte i = 0; i < 5; i++) {
                pieces.add(new byte[] {i});
            }
            return "{\"name\": \"five pieces\"}";
        });
        List<Byte> read = new ArrayList<>();
        STORE.pieces(log.id(), piece -> read.add(piece[0]));
        assertThat(read).containsExactly((byte) 0, (byte) 1, (byte) 2, (byte) 3, (byte) 4);
        GARAGE.remove(Kind.LOG, log.id(), GARAGE.get(Kind.LOG, log.id()).version());
        read.clear();
        STORE.pieces(log.id(), piece -> read.add(piece[0]));
        assertThat(read).isEmpty();
    }

    @Test
    void nothingIsKeptForACarThatIsNotThere() {
        UUID nobody = UUID.randomUUID();
        assertThatExceptionOfType(NotStored.class)
                .isThrownBy(() -> STORE.keep(UUID.randomUUID(), nobody, pieces -> "{}"));
        assertThatExceptionOfType(NotStored.class)
                .isThrownBy(
                        () -> STORE.upload(UUID.randomUUID(), nobody, "x", new ByteArrayInputStream(new byte[1]), 10));
    }
}
