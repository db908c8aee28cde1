import { Slot } from 'expo-router';
import { Providers } from '../shell/Providers';

export { Broken as ErrorBoundary } from '../shell/Broken';

export default function Root() {
  return (
    <Providers>
      <Slot />
    </Providers>
  );
}
