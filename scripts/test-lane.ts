/**
 * Files of database and browser tests run in lanes, side by side. Each lane has a database
 * cluster, a data folder and ports of its own, so that one file may stop its cluster while
 * another goes on. ./test starts the clusters and names them in ZINC_TEST_LANES.
 */
import { z } from 'zod';

const Lanes = z.array(z.object({ data: z.string(), database: z.string() })).min(1);

const named = process.env.ZINC_TEST_LANES;
if (!named) throw new Error('ZINC_TEST_LANES is not set: run ./test, or scripts/try');
const lanes = Lanes.parse(JSON.parse(named));
const number = Number(process.env.VITEST_POOL_ID ?? 1) - 1;
const lane = lanes[number];
if (!lane) throw new Error(`There are ${lanes.length} lanes, and this is worker ${number + 1}.`);
process.env.ZINC_DATA = lane.data;
process.env.ZINC_TEST_DATABASE = lane.database;
process.env.ZINC_TEST_LANE = String(number);
