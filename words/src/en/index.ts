/** English. */
import type { Language } from '../catalogue.ts';
import { alsoSaid } from './also-said.ts';
import { labels } from './labels.ts';
import { causes } from './causes.ts';
import { rules } from './fit.ts';
import { sentences } from './sentences.ts';

export const en: Language = { sentences, labels, rules, causes, alsoSaid };
