import { Button } from './Button';

/**
 * Prints the page; the frame and what only works on a screen are left out (see the print rules in
 * index.html).
 */
export const PrintButton = ({ label = 'Print' }: { readonly label?: string }) => (
  <Button icon="printer" label={label} onPress={() => window.print()} />
);
