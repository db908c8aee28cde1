import { Slot } from 'expo-router';
import { Providers } from '../session/Providers';

export default function Root() {
  return <Providers><Slot /></Providers>;
}
