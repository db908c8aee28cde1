import { Slot } from 'expo-router';
import { Providers } from '../shell/Providers';

export { BrokenScreen as ErrorBoundary } from '../shell/Broken';

export default function Root() {
  return (
    <Providers>
      <Slot />
    </Providers>
  );
}
