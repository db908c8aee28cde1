import { type MethodQuestion, METHODS } from '@skelby/core/methods/methods';
import { METHOD_WORDS, type MethodWords } from './en/methods';

export const methodWords = (question: MethodQuestion): MethodWords => METHOD_WORDS[question];

/** The answers to a question of method, as they are offered. */
export const methodOptions = (question: MethodQuestion) =>
  METHODS[question].map((value: string) => ({
    value,
    label: methodWords(question).answers[value]!,
  }));
