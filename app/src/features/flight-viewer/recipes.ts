import type { Recipe } from '@skelby/core/recorded-flight/mapping/recipe';
import { recipeShape } from '@skelby/core/recorded-flight/mapping/recipe';
import { keep, kept } from '../../shared/storage/storage';

const NAME = 'recorder-recipes';
/** More recorders than a school has. */
const MOST = 40;

/** Recipes of this phone, the newest first: a file of the same recorder is read by its own. */
export const recipesHere = (): readonly Recipe[] => kept<readonly Recipe[]>(NAME) ?? [];

export function keepRecipe(recipe: Recipe): void {
  keep(NAME, [recipe, ...recipesHere().filter(({ name }) => name !== recipe.name)].slice(0, MOST));
}

/** @throws Error that says what is wrong with it */
export async function recipeInFile(file: File): Promise<Recipe> {
  try {
    return (await recipeShape.validate(JSON.parse(await file.text()), { strict: true })) as Recipe;
  } catch (error) {
    throw new Error('This file is no recipe: save one here, and bring that one in.', { cause: error });
  }
}
