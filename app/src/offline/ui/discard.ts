import { sentenceCase } from '../../shared/copy/copy';
import { offerUndo } from '../../shared/ui/undo';
import type { Outbox } from '../outbox/outbox';
import type { Waiting } from '../outbox/waiting';

/** Throws away what the server would not take; brought back, it is sent once more. */
export function discardWithUndo(box: Outbox, item: Waiting): void {
  offerUndo(`${sentenceCase(item.what)} discarded`, () => void box.takeOver([item]));
  void box.discard(item.key);
}
