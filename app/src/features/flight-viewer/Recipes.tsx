import { recipeOf } from '@skelby/core/recorded-flight/mapping/recipe';
import { useState } from 'react';
import { TextBox } from '../../shared/forms/TextBox';
import { Button, ButtonRow } from '../../shared/ui/Button';
import { pickFile } from '../../shared/ui/pick-file';
import { saveFile } from '../../shared/ui/save-file';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';
import { keepRecipe, recipeInFile } from './recipes';
import type { Understood } from './use-flight-file';

const LONGEST = 120;

/** How this recorder's columns are read, kept for its next file, and passed on as a small file. */
export function Recipes({ understood }: { readonly understood: Understood }) {
  const [name, setName] = useState(understood.recipe ?? '');
  const [said, say] = useState<string | null>(null);
  const named = name.trim();
  const bringIn = () =>
    pickFile('.json,application/json', (file) => {
      recipeInFile(file).then(
        (recipe) => {
          keepRecipe(recipe);
          say(`${recipe.name} is kept: pick the flight again, and it is read by it.`);
        },
        (error: unknown) => say(error instanceof Error ? error.message : String(error)),
      );
    });
  return (
    <Part heading="This recorder">
      <Words as="soft">Name the recorder: its next file is read the same way, without a guess.</Words>
      <TextBox label="Name of the recorder" value={name} onChangeText={setName} maxLength={LONGEST} />
      <ButtonRow>
        <Button
          icon="check"
          label="Keep"
          disabled={named === ''}
          onPress={() => {
            keepRecipe(recipeOf(named, understood, understood.mapping));
            say(`Kept as ${named}.`);
          }}
        />
        <Button
          icon="download"
          label="Save as a file"
          disabled={named === ''}
          onPress={() =>
            saveFile(
              'recorder.json',
              JSON.stringify(recipeOf(named, understood, understood.mapping), null, 2),
              'application/json',
            )
          }
        />
        <Button icon="upload" label="Bring one in" onPress={bringIn} />
      </ButtonRow>
      {said ? <Words role="status">{said}</Words> : null}
    </Part>
  );
}
