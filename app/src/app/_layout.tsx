import { Slot } from 'expo-router';
import { Providers } from '../session/Providers';

export { Broken as ErrorBoundary } from '../session/Broken';

export default function Root() {
  return (
    <Providers>
      <Slot />
    </Providers>
  );
}
