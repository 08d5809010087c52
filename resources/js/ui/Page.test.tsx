import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Link, Route, Routes, useNavigate } from 'react-router';
import { describe, expect, it } from 'vitest';
import { Problem } from '../api/client';
import { show } from '../testing/show';
import { Page, Waiting } from './Page';

function List() {
    return (
        <Page title="Kits">
            <Link to="/kits/QH-03">QH-03</Link>
            <Link to="/?q=x">Search</Link>
        </Page>
    );
}

function Kit() {
    const navigate = useNavigate();
    return (
        <Page title="QH-03">
            <button onClick={() => void navigate(-1)}>Back</button>
        </Page>
    );
}

function open() {
    show(
        <Routes>
            <Route path="/" element={<List />} />
            <Route path="/kits/QH-03" element={<Kit />} />
        </Routes>,
    );
    return userEvent.setup();
}
const scrolled = () => document.documentElement.scrollTop;
const scroll = (to: number) => {
    document.documentElement.scrollTop = to;
};

describe('a page', () => {
    it('begins at its top and its heading, wherever the one before was left', async () => {
        const person = open();
        scroll(400);
        await person.click(screen.getByRole('link', { name: 'QH-03' }));
        expect(document.activeElement).toBe(await screen.findByRole('heading', { name: 'QH-03' }));
        expect(scrolled()).toBe(0);
        expect(document.title).toBe('QH-03 · Sarcina');
    });

    it('leaves it to the browser where somebody was, on the way back', async () => {
        const person = open();
        await person.click(screen.getByRole('link', { name: 'QH-03' }));
        await screen.findByRole('heading', { name: 'QH-03' });
        scroll(250);
        await person.click(screen.getByRole('button', { name: 'Back' }));
        await screen.findByRole('heading', { name: 'Kits' });
        expect(scrolled()).toBe(250);
        scroll(0);
    });

    it('stays where it is while only what it is asked for changes', async () => {
        const person = open();
        scroll(300);
        await person.click(screen.getByRole('link', { name: 'Search' }));
        expect(scrolled()).toBe(300);
        scroll(0);
    });

    it('says that it is on its way, or what went wrong and what to do', () => {
        show(<Waiting error={null} />);
        expect(screen.getByRole('status').textContent).toBe('Reading…');
        show(<Waiting error={new Problem(404, 'Not there', 'There is no kit QH-99.', {}, [])} />);
        expect(screen.getByText('Not there')).toBeTruthy();
        expect(screen.getByText('There is no kit QH-99.')).toBeTruthy();
    });
});
