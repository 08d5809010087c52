import Box from '@mui/material/Box';

const shapes = {
    today: 'M5 5h14v14H5zM5 10h14M9 3v4M15 3v4M9 14h6',
    assess: 'M4 18l5-2 6 2 5-2V6l-5 2-6-2-5 2zM9 6v10M15 8v10',
    lists: 'M5 6h2M10 6h9M5 12h2M10 12h9M5 18h2M10 18h9',
    pack: 'M4 9h16v10H4zM9 9V6h6v3M4 13h5M15 13h5',
    check: 'M4 6h8M4 12h6M4 18h8M13 13l3 3 5-7',
    use: 'M4 11h16l-1.500 9h-13zM9 7.500l3-3.500 3 3.500M12 4v7',
    restock: 'M4 20V9l8-5 8 5v11M8 20v-7h8v7M8 16.5h8',
    settings: 'M4 7h9M17 7h3M4 17h3M11 17h9M15 4.500v5M9 14.500v5',
    more: 'M6 12h.01M12 12h.01M18 12h.01',
    find: 'M10.5 4a6.5 6.5 0 1 0 0 13 6.5 6.5 0 0 0 0-13zM15.5 15.5 21 21',
    item: 'M12 4l8 4v8l-8 4-8-4V8zM4 8l8 4 8-4M12 12v8',
    seal: 'M12 3l2.4 2 3.1-.2.9 3 2.6 1.7-1 3 1 3-2.6 1.7-.9 3-3.1-.2-2.4 2-2.4-2-3.1.2-.9-3L3 15.5l1-3-1-3 2.6-1.7.9-3 3.1.2zM9 12l2 2 4-4',
    caution: 'M12 4 21 20H3zM12 10v5M12 17.5h.01',
    place: 'M12 21s-6-5.6-6-11a6 6 0 1 1 12 0c0 5.4-6 11-6 11zM12 8.5a2 2 0 1 0 0 4 2 2 0 0 0 0-4z',
    night: 'M20 14.5A8 8 0 1 1 9.5 4a6.5 6.5 0 0 0 10.5 10.5z',
    day: 'M12 8a4 4 0 1 0 0 8 4 4 0 0 0 0-8zM12 2v3M12 19v3M2 12h3M19 12h3M5 5l2 2M17 17l2 2M5 19l2-2M17 7l2-2',
    out: 'M10 5H5v14h5M14 8l4 4-4 4M18 12H9',
    back: 'M15 5l-7 7 7 7',
} as const;

export type IconName = keyof typeof shapes;

/** Line drawings of our own, 24 by 24. They stand beside words and say nothing by themselves. */
export function Icon({ name, size = 22 }: { name: IconName; size?: number }) {
    return (
        <Box
            component="svg"
            viewBox="0 0 24 24"
            aria-hidden
            sx={{ width: size, height: size, flex: 'none', display: 'block' }}
        >
            <path
                d={shapes[name]}
                fill="none"
                stroke="currentColor"
                strokeWidth={name === 'more' ? 3 : 1.8}
                strokeLinecap="round"
                strokeLinejoin="round"
            />
        </Box>
    );
}
