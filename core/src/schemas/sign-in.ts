import { object, string } from 'yup';
import { keyOrNone, readableText } from './fields';
import { fieldSaid } from './field-said';

export const signInShape = object({
  email: readableText('e-mail')
    .trim()
    .lowercase()
    .defined()
    .required(fieldSaid('sign-in.email-empty'))
    .email(fieldSaid('sign-in.no-email'))
    .max(200, fieldSaid('sign-in.email-too-long', { most: 200 })),
  password: string()
    .strict()
    .defined()
    .typeError(fieldSaid('sign-in.password-no-text'))
    .required(fieldSaid('sign-in.password-empty'))
    .max(200, fieldSaid('sign-in.password-too-long', { most: 200 })),
}).noUnknown();

/** The code of a second factor, where one was asked for. */
export const codeOrNone = string()
  .strict()
  .typeError(fieldSaid('sign-in.code-no-text'))
  .max(40, fieldSaid('sign-in.code-too-long', { most: 40 }));

/** With the code of a second factor where there is one, and the school where there are several. */
export const signInWithCodeShape = signInShape
  .shape({ code: codeOrNone, schoolId: keyOrNone('school') })
  .noUnknown();
