package isotherm.server.logger;

import isotherm.core.trial.SimulatedEngine;
import isotherm.server.contract.Missing;
import isotherm.server.contract.Quantity;
import isotherm.server.contract.Text;

/** What is asked of a logger over HTTP. */
public final class LoggerDocuments {
    private LoggerDocuments() {}

    /**
     * A logger that is to be listened to.
     *
     * @param port loopback port on which one listens, of those that are set aside for loggers
     * @param fault what the simulated one has to be wrong with the engine
     * @param ambientC air temperature round the simulated engine
     * @param pace seconds that pass in the simulated engine in each second
     */
    public record LoggerChoice(
            @Missing("the simulated one") @Quantity(value = "loopback port", min = 8400, max = 8499) Integer port,
            @Missing("nothing") @Text("what is wrong with the simulated engine") SimulatedEngine.Fault fault,
            @Missing("18 °C")
                    @Quantity(value = "air temperature round the simulated engine", min = -30, max = 45, unit = "°C")
                    Double ambientC,
            @Missing("1")
                    @Quantity(value = "seconds that pass in the simulated engine in each second", min = 1, max = 200)
                    Double pace) {}

    /**
     * What the simulated engine is to do.
     *
     * @param turning what it does from now on
     */
    public record EngineCommand(@Text("what it does from now on") SimulatedEngine.Turning turning) {}
}
