import { bookOf, type DrillBook } from '@skelby/copy/drill-book';
import { createContext, useContext } from 'react';

const Book = createContext<DrillBook>(bookOf([]));

/** Gives the screens below it the drills of the school. */
export const DrillBookProvider = Book.Provider;

/** The house's drills with the school's own words, and those that it has written itself. */
export const useDrills = (): DrillBook => useContext(Book);
