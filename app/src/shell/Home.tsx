import { Today } from '../features/today/Today';
import { OwnPageSignedIn } from '../lazy';
import { useWho } from '../shared/api/use-who';

/** The first page: of a pilot who is signed in their own, of everybody else Today. */
export const Home = () => (useWho()?.role === 'pilot' ? <OwnPageSignedIn /> : <Today />);
