import { object, string } from 'yup';
import { readableText } from './fields';

export const signInShape = object({
  email: readableText('E-mail')
    .trim()
    .lowercase()
    .defined()
    .required('E-mail is empty: write the address you sign in with.')
    .email('E-mail does not look like an address: write it as name@place.')
    .max(200, 'E-mail is too long: at most 200 characters.'),
  password: string()
    .strict()
    .defined()
    .typeError('Password is no text: write it as text.')
    .required('Password is empty: write it.')
    .max(200, 'Password is too long: at most 200 characters.'),
}).noUnknown();
