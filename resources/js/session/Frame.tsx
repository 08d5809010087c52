import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useColorScheme } from '@mui/material/styles';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, Navigate, Outlet, useLocation } from 'react-router';
import { Icon, type IconName } from '../ui/Icon';
import { Finder } from './Finder';
import { SignOut } from './SignOut';
import { useSession } from './useSession';
import { words } from './words';

interface Stage {
    to: string;
    word: string;
    icon: IconName;
    /** Which addresses belong to the stage. */
    here: RegExp;
}

const stages: Stage[] = [
    { to: '/', word: words.today, icon: 'today', here: /^\/$/ },
    { to: '/assess', word: words.assess, icon: 'assess', here: /^\/(assess|how-many)/ },
    { to: '/lists', word: words.lists, icon: 'lists', here: /^\/(lists|items|classes|compare|exchange)/ },
    { to: '/kits', word: words.pack, icon: 'pack', here: /^\/(designs|kits(\/[^/]+(\/history)?)?$)/ },
    { to: '/check', word: words.check, icon: 'check', here: /^\/(check$|checks\/|waiting$|kits\/[^/]+\/check)/ },
    { to: '/use', word: words.use, icon: 'use', here: /^\/(use$|shift-end$|kits\/[^/]+\/(use|report))/ },
    {
        to: '/restock',
        word: words.restock,
        icon: 'restock',
        here: /^\/(restock|pick-list|rounds|to-buy|dates-ahead|rotation|stores\/|kits\/[^/]+\/restock)/,
    },
];

/** At the foot of the rail; in hand under More. */
const settings: Stage = {
    to: '/settings',
    word: words.settings,
    icon: 'settings',
    here: /^\/(settings|account|start|places|stores$)/,
};

const inHand = [words.today, words.check, words.use, words.restock];

/** The rail of the stages of the work, the finder, and the screen. */
export function Frame({ waiting }: { waiting: ReactNode }) {
    const atDesk = useMediaQuery('(min-width:900px)');
    const [isWorking, setWorking] = useState(false);
    const frame = useMemo(() => ({ setWorking }), []);
    const showsAround = atDesk || !isWorking;
    const { user } = useSession();
    const { pathname } = useLocation();
    if (user?.needs_factor === true && pathname !== '/account') {
        return <Navigate to="/account" replace />;
    }
    return (
        <Box
            sx={{
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '96px minmax(0, 1fr)' },
                minHeight: '100dvh',
            }}
        >
            <Box
                component="a"
                href="#content"
                sx={{
                    position: 'absolute',
                    left: -9999,
                    '&:focus': { left: 8, top: 8, zIndex: 20, bgcolor: 'background.paper', p: 3 },
                }}
            >
                {words.skipToTheContent}
            </Box>
            {atDesk && <Rail />}
            <Box sx={{ minWidth: 0 }}>
                <Box
                    component="header"
                    sx={{
                        display: showsAround ? 'flex' : 'none',
                        gap: 3,
                        alignItems: 'center',
                        px: { xs: 4, md: 6 },
                        py: 2,
                        borderBottom: 1,
                        borderColor: 'divider',
                    }}
                >
                    <Finder />
                    {atDesk && <Who />}
                </Box>
                {waiting}
                <div id="content" tabIndex={-1}>
                    <Outlet context={frame} />
                </div>
            </Box>
            {!atDesk && showsAround && <BottomBar />}
        </Box>
    );
}

function StageLink({ stage, isHere }: { stage: Stage; isHere: boolean }) {
    return (
        <ButtonBase
            component={Link}
            to={stage.to}
            aria-current={isHere ? 'page' : undefined}
            sx={{
                flexDirection: 'column',
                gap: 1,
                py: 2,
                px: 1,
                minHeight: 56,
                minWidth: 64,
                flex: { xs: 1, md: 'none' },
                fontSize: 13,
                fontWeight: isHere ? 700 : 500,
                color: isHere ? 'primary.main' : 'text.primary',
                borderRadius: '6px',
                boxShadow: isHere
                    ? { xs: 'inset 0 3px 0 var(--mui-palette-ochre)', md: 'inset 3px 0 0 var(--mui-palette-ochre)' }
                    : 'none',
                bgcolor: isHere ? 'background.paper' : 'transparent',
            }}
        >
            <Icon name={stage.icon} />
            {stage.word}
        </ButtonBase>
    );
}

function Rail() {
    const { pathname } = useLocation();
    return (
        <Box
            component="nav"
            aria-label={words.stagesOfTheWork}
            sx={{
                position: 'sticky',
                top: 0,
                height: '100dvh',
                borderRight: 1,
                borderColor: 'divider',
                bgcolor: 'canvas',
                p: 2,
                display: 'flex',
                flexDirection: 'column',
                gap: 1,
            }}
        >
            <Box
                component={Link}
                to="/"
                sx={{ display: 'grid', justifyItems: 'center', py: 2, mb: 2 }}
                aria-label={words.sarcinaToToday}
            >
                <Box component="img" src="/mark.svg" alt="" sx={{ width: 34 }} />
            </Box>
            {stages.map((stage) => (
                <StageLink key={stage.to} stage={stage} isHere={stage.here.test(pathname)} />
            ))}
            <Box sx={{ mt: 'auto', display: 'grid' }}>
                <StageLink stage={settings} isHere={settings.here.test(pathname)} />
            </Box>
        </Box>
    );
}

function BottomBar() {
    const { pathname } = useLocation();
    const more: Stage = {
        to: '/more',
        word: words.more,
        icon: 'more',
        here: /^\/(more|settings|assess|lists|items|classes|compare|exchange|kits(\/[^/]+(\/history)?)?$)/,
    };
    return (
        <Box
            component="nav"
            aria-label={words.stagesOfTheWork}
            sx={{
                position: 'fixed',
                bottom: 0,
                left: 0,
                right: 0,
                zIndex: 10,
                display: 'flex',
                bgcolor: 'canvas',
                borderTop: 1,
                borderColor: 'divider',
                px: 1,
                pb: 'env(safe-area-inset-bottom)',
            }}
        >
            {[...stages.filter((stage) => inHand.includes(stage.word)), more].map((stage) => (
                <StageLink key={stage.to} stage={stage} isHere={stage.here.test(pathname)} />
            ))}
        </Box>
    );
}

function Who() {
    const { user } = useSession();
    return (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, ml: 'auto', whiteSpace: 'nowrap' }}>
            <SchemeSwitch />
            <Box component="span" sx={{ px: 2, color: 'text.secondary', fontSize: 14 }}>
                {user?.name}, {user?.role}
            </Box>
            <SignOut />
        </Box>
    );
}

export function SchemeSwitch() {
    const { mode, systemMode, setMode } = useColorScheme();
    const isDark = (mode === 'system' ? systemMode : mode) === 'dark';
    return (
        <ButtonBase
            onClick={() => setMode(isDark ? 'light' : 'dark')}
            sx={{ gap: 2, px: 3, minHeight: 44, borderRadius: '6px', fontWeight: 600, color: 'primary.main' }}
        >
            <Icon name={isDark ? 'day' : 'night'} size={18} /> {isDark ? words.light : words.dark}
        </ButtonBase>
    );
}
