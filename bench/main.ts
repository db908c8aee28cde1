import { exitWith } from '../tools/exit';
import { bench } from './bench';

void exitWith(() => bench(process.argv.slice(2)));
