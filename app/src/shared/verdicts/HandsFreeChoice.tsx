import { Button } from '../ui/Button';
import { Words } from '../ui/Words';
import { setHandsFree, useIsHandsFree } from './hands-free';
import { hasVoice } from './voice';

/** Switches counting by clicker, keys and headset on and off. */
export function HandsFreeChoice() {
  const isOn = useIsHandsFree();
  return (
    <>
      <Button
        kind="quiet"
        icon={isOn ? 'volume-2' : 'volume-x'}
        label={isOn ? 'Hands-free is on: switch it off' : 'Count hands-free: clicker, keys or headset'}
        onPress={() => setHandsFree(!isOn)}
      />
      {isOn ? (
        <Words as="soft">
          {`Next, page down or → is met; back, page up or ← is missed, and once more leaves the reason out. Play or B says it again.${hasVoice() ? '' : ' This browser has no voice.'} Eyes on the craft.`}
        </Words>
      ) : null}
    </>
  );
}
