import { LinkButton } from '../ui/Button';
import { Note } from '../ui/Note';
import { Screen } from '../ui/Screen';

export default function NotFound() {
  return (
    <Screen title="Nothing here">
      <Note icon="help-circle">There is no page at this address.</Note>
      <LinkButton kind="solid" label="Go to Today" href="/" />
    </Screen>
  );
}
