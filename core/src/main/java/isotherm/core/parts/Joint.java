package isotherm.core.parts;

/** How two ends are joined, and what makes the joint tight. */
public enum Joint {
    /** AN or JIC flare of 37°. */
    FLARE_37("37° flare", "metal cone on metal cone", "a drop of oil on cone and thread; never tape"),
    /** Straight thread with an O-ring under its shoulder (ORB). */
    O_RING_BOSS("O-ring boss", "the O-ring under the shoulder", "oil on the O-ring; never tape"),
    /** Taper pipe thread (NPT). */
    TAPER("taper thread NPT", "the thread itself", "PTFE tape, two turns, the first thread left free"),
    /** Parallel pipe thread (BSPP). */
    BSPP("parallel thread BSPP", "a bonded washer on a flat face", "a new bonded washer; nothing on the thread"),
    /** Metric parallel thread. */
    METRIC("metric thread", "a bonded washer on a flat face", "a new bonded washer; nothing on the thread"),
    /** Hose pushed over barbs. */
    PUSH_ON(
            "push-on barbs",
            "the hose's own grip on the barbs",
            "oil inside the hose; never a worm-drive clip over it"),
    /** Banjo eye under a hollow bolt. */
    BANJO("banjo", "a copper washer on either side of the eye", "two new copper washers; nothing on the thread");

    private final String words;
    private final String seal;
    private final String onThread;

    Joint(String words, String seal, String onThread) {
        this.words = words;
        this.seal = seal;
        this.onThread = onThread;
    }

    /** @return its name in words */
    public String words() {
        return words;
    }

    /** @return what makes it tight */
    public String seal() {
        return seal;
    }

    /** @return what goes on it when it is put together */
    public String onThread() {
        return onThread;
    }
}
