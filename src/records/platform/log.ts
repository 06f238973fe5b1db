import pino from 'pino';

/**
 * The server's log: one JSON object a line on standard error. `JITEN_LOG` sets the least level that is written, info
 * when it is not set. What members typed, passwords and addresses never go in.
 */
export const log = pino({ name: 'jiten', level: process.env.JITEN_LOG ?? 'info' }, pino.destination(2));
