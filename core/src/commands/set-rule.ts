import { ruleProblem, ruleShape } from '../schemas/rule';
import { command } from './command';
import * as handles from './handles';

/** Puts a rule in force for what is opened from now on; what is open keeps the one it was opened under. */
export const setRule = command(handles.setRule, { schema: ruleShape, rule: ruleProblem });
