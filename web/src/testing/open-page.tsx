import { MantineProvider } from '@mantine/core';
import { Notifications } from '@mantine/notifications';
import { QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactElement, ReactNode } from 'react';
import { I18nextProvider } from 'react-i18next';
import { createMemoryRouter, type RouteObject } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { createQueryClient } from '../api/query-client.ts';
import { markSignedOut } from '../api/signed-out.ts';
import { places } from '../routes/places.tsx';
import { text } from '../text/i18n.ts';
import { themeWith } from '../theme/theme.ts';
import { fakeApi, type Answers, type FakeApi } from './fake-api.ts';
import { usualAnswers } from './samples.ts';

export interface OpenedPage extends FakeApi {
  readonly user: UserEvent;
  /** Where the page has come to. */
  readonly path: () => string;
  /** Takes the page away, so that another can be opened. */
  readonly unmount: () => void;
}

const theme = themeWith({ close: 'Close' });

function Around({ children }: { readonly children: ReactNode }): ReactElement {
  return (
    <I18nextProvider i18n={text}>
      <MantineProvider theme={theme} env="test">
        <Notifications />
        <QueryClientProvider client={createQueryClient(markSignedOut)}>{children}</QueryClientProvider>
      </MantineProvider>
    </I18nextProvider>
  );
}

function open(routes: RouteObject[], path: string, answers: Answers): OpenedPage {
  const api = fakeApi({ ...usualAnswers(), ...answers });
  const router = createMemoryRouter(routes, { initialEntries: [path] });
  const { unmount } = render(
    <Around>
      <RouterProvider router={router} />
    </Around>,
  );
  return {
    ...api,
    user: userEvent.setup(),
    path: () => router.state.location.pathname + router.state.location.search,
    unmount,
  };
}

/**
 * Opens an address of Soft Lark as a signed-in teacher; the server is a table of answers.
 *
 * @param answers over those of the sample studio
 */
export function openPage(path: string, answers: Answers = {}): OpenedPage {
  return open(places, path, answers);
}

/** Draws one component by itself, at an address of its own. */
export function draw(element: ReactElement, answers: Answers = {}): OpenedPage {
  return open([{ path: '*', element }], '/', answers);
}

/** Puts a text into a field in one go, as a paste does: a form of sixty fields is drawn once, not once a letter. */
export async function fill({ user }: Pick<OpenedPage, 'user'>, field: HTMLElement, text: string): Promise<void> {
  await user.click(field);
  if (text === '') await user.clear(field);
  else {
    (field as HTMLInputElement | HTMLTextAreaElement).select();
    await user.paste(text);
  }
}
