import type { ComponentProps } from 'react';
import { readForm, type Typed } from './form-data';

type Props = Omit<ComponentProps<'form'>, 'onSubmit' | 'noValidate'> & {
  readonly onTyped: (typed: Typed) => void | Promise<void>;
};

/** A form that stays on the page, hands over what was typed, and leaves it to the taker to say what is wrong. */
export function Form({ onTyped, ...rest }: Props) {
  return (
    <form
      {...rest}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void onTyped(readForm(event.currentTarget));
      }}
    />
  );
}
