import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { useSession } from '../session/useSession';
import { words } from './words';

/** How many buttons stand above a kit; what is left goes into the menu. */
const IN_SIGHT = 3;

interface Action {
    word: string;
    to: string;
    /** What the button says where its kit must be named. */
    label?: string;
    /** The name under which the file is saved: the address is no page then. */
    saveAs?: string;
}

interface KitActionsProps {
    kit: Schemas['KitResource'];
    /** Whether this person gives tasks for the kit, and may have its file for that. */
    mayGive: boolean;
}

/** The actions of a kit: the most used ones in sight, the others under More. */
export function KitActions({ kit, mayGive }: KitActionsProps) {
    const { may } = useSession();
    const [at, setAt] = useState<HTMLElement | null>(null);
    const inUse = kit.retired_on === null;
    const page = (name: string) => `/kits/${kit.code}/${name}`;
    const isQuick = kit.due.kind === 'quick' && kit.seal.state === 'intact';
    const actions: (Action | false)[] = [
        inUse &&
            may('check') && {
                word: isQuick ? words.quickCheck : words.check2,
                to: page('check'),
                label: words.check(kit.code),
            },
        inUse && may('restock') && { word: words.restock2, to: page('restock'), label: words.restock(kit.code) },
        inUse && may('restock') && { word: words.use, to: page('use'), label: words.useOf(kit.code) },
        inUse && may('report') && !may('restock') && { word: words.reportUse, to: page('report') },
        inUse && { word: words.whatCanItDealWith, to: page('coping') },
        { word: words.history, to: page('history') },
        inUse && may('restock') && { word: words.repack, to: page('build') },
        { word: words.compareWithAList, to: `/compare?subject=kit:${kit.code}` },
        inUse && { word: words.label, to: page('label') },
        (may('export') || mayGive) && {
            word: words.kitFile,
            to: `/api/kits/${kit.code}/file`,
            saveAs: `${kit.code}.kit.json`,
        },
    ];
    const all = actions.filter((action) => action !== false);
    const rest = all.slice(IN_SIGHT);
    return (
        <>
            {all.slice(0, IN_SIGHT).map((action) => (
                <Button key={action.word} component={Link} to={action.to} aria-label={action.label}>
                    {action.word}
                </Button>
            ))}
            <Button
                aria-haspopup="menu"
                aria-expanded={at !== null}
                aria-label={words.moreOf(kit.code)}
                onClick={(event) => setAt(event.currentTarget)}
            >
                {words.more}
            </Button>
            <Menu open={at !== null} anchorEl={at} onClose={() => setAt(null)}>
                {rest.map((action) => (
                    <MenuItem
                        key={action.word}
                        onClick={() => setAt(null)}
                        sx={{ minHeight: 48 }}
                        {...(action.saveAs === undefined
                            ? { component: Link, to: action.to }
                            : { component: 'a', href: action.to, download: action.saveAs })}
                    >
                        {action.word}
                    </MenuItem>
                ))}
            </Menu>
        </>
    );
}
