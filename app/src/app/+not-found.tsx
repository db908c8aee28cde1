import { LinkButton } from '../shared/ui/Button';
import { Note } from '../shared/ui/Note';
import { Screen } from '../shared/ui/Screen';

export default function NotFound() {
  return (
    <Screen title="Nothing here">
      <Note icon="help-circle">There is no page at this address.</Note>
      <LinkButton kind="solid" label="Go to Today" href="/" />
    </Screen>
  );
}
