package isotherm.server.build;

import isotherm.server.contract.Missing;

/**
 * A key by which a logger that comes by itself is let in.
 *
 * @param key what the logger says, told once
 * @param until until when it holds, ISO 8601 in UTC
 * @param port port at which loggers are let in
 */
public record LoggerKey(
        String key, String until, @Missing("this server was started without a port for loggers") Integer port) {}
