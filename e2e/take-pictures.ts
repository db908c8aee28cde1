import { exitWith } from '../tools/exit';
import { takePictures } from './pictures';

await exitWith(takePictures);
