import { exitWith } from '../tools/exit';
import { bench } from './bench';

await exitWith(() => bench(process.argv.slice(2)));
