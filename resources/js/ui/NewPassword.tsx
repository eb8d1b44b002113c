import type { ComponentProps } from 'react';
import { TextField } from './TextField';

/** Where a password is chosen, by the rule that the server holds it to. */
export function NewPassword(props: Pick<ComponentProps<typeof TextField>, 'value' | 'onChange' | 'error' | 'autoFocus'>) {
    return (
        <TextField
            label="A password of 10 characters or more"
            type="password"
            autoComplete="new-password"
            required
            minLength={10}
            {...props}
        />
    );
}
