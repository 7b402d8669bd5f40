import pino from 'pino';
import { RollingFile } from './rolling-file';

const { ZINC_LOG: path, LOG_LEVEL: level = 'info' } = process.env;

/** Without a file of its own, as under a test, it goes where the program's words go. */
export const log = path
	? pino({ level, base: null }, new RollingFile(path))
	: pino({ level, base: null });
