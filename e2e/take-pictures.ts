import { exitWith } from '../tools/exit';
import { takePictures } from './pictures';

void exitWith(takePictures);
