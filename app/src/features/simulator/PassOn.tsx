import { Button } from '../../shared/ui/Button';
import { Part } from '../../shared/ui/Screen';
import { usePassOn } from '../../shared/ui/use-pass-on';
import { Words } from '../../shared/ui/Words';

/** Passes on how it is set up: the link opens the same drill for anybody, without an account. */
export function PassOn({ search }: { readonly search: string }) {
  const { said, pass } = usePassOn('Skelby practice');
  const address = `${window.location.origin}/practice?${search}`;
  return (
    <Part heading="Pass it on">
      <Words as="soft">Opens this drill as it is set here, for whoever has the link.</Words>
      <Words aria-label="Link">{address}</Words>
      <Button icon="share-2" label={said ?? 'Pass on the link'} onPress={() => void pass(address)} />
    </Part>
  );
}
