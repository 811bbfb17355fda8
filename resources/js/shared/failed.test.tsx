// @vitest-environment jsdom
import { MantineProvider } from '@mantine/core';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, expect, it, vi } from 'vitest';
import '../../../tests/screen';
import { Failed } from './Failed';

afterEach(() => vi.restoreAllMocks());

it('a room whose script does not come says what to do', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const router = createMemoryRouter([
        {
            ErrorBoundary: Failed,
            children: [{ path: '/', lazy: () => Promise.reject(new Error('Unable to preload CSS')) }],
        },
    ]);
    render(
        <MantineProvider>
            <RouterProvider router={router} />
        </MantineProvider>,
    );
    expect(await screen.findByText('This room could not be opened')).toBeDefined();
    expect(screen.queryByText(/Unable to preload/)).toBeNull();
    expect(screen.getByRole('alert')).toBeDefined();
    const reload = vi.fn();
    vi.stubGlobal('location', { ...location, reload });
    await userEvent.click(screen.getByRole('button', { name: 'Load it again' }));
    expect(reload).toHaveBeenCalledOnce();
    vi.unstubAllGlobals();
});
