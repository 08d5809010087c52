import { createTheme } from '@mui/material/styles';

declare module '@mui/material/styles' {
    interface Palette {
        verdict: { ready: string; ready_with_actions: string; limited: string; not_ready: string };
        ochre: string;
        canvas: string;
    }
    interface PaletteOptions {
        verdict?: Palette['verdict'];
        ochre?: string;
        canvas?: string;
    }
}

const body = "'Atkinson Hyperlegible Next Variable', 'Segoe UI', sans-serif";
const heading = "'Archivo Variable', 'Segoe UI', sans-serif";

/** Canvas and ink: quiet, so that states stand out. The dark scheme is made from the same tokens. */
export const theme = createTheme({
    cssVariables: { colorSchemeSelector: 'data-scheme' },
    colorSchemes: {
        light: {
            palette: {
                background: { default: '#F4EFE6', paper: '#FFFDF8' },
                text: { primary: '#22303C', secondary: '#52606B' },
                primary: { main: '#2E5E6E', contrastText: '#FFFDF8' },
                error: { main: '#AE3A2F' },
                divider: '#D9D0C0',
                ochre: '#C98A1B',
                canvas: '#EAE2D3',
                verdict: { ready: '#3F7D58', ready_with_actions: '#A86A12', limited: '#7C5295', not_ready: '#AE3A2F' },
            },
        },
        dark: {
            palette: {
                background: { default: '#182128', paper: '#212C35' },
                text: { primary: '#F0EADF', secondary: '#B5BDC2' },
                primary: { main: '#8FC3D2', contrastText: '#132028' },
                error: { main: '#EE9A90' },
                divider: '#3A4854',
                ochre: '#D9A23F',
                canvas: '#2A3741',
                verdict: { ready: '#7FC79B', ready_with_actions: '#E0AA55', limited: '#C6A2DC', not_ready: '#EE9A90' },
            },
        },
    },
    shape: { borderRadius: 6 },
    spacing: 4,
    typography: {
        fontFamily: body,
        fontSize: 14,
        h1: { fontFamily: heading, fontSize: 26, fontWeight: 650, letterSpacing: '-0.01em', lineHeight: 1.2 },
        h2: { fontFamily: heading, fontSize: 18, fontWeight: 650, lineHeight: 1.3 },
        h3: { fontFamily: heading, fontSize: 15, fontWeight: 650, lineHeight: 1.35 },
        body1: { fontSize: 15, lineHeight: 1.45 },
        body2: { fontSize: 14, lineHeight: 1.4 },
        caption: { fontSize: 13, lineHeight: 1.35 },
        button: { textTransform: 'none', fontWeight: 600, fontSize: 15 },
    },
    components: {
        MuiCssBaseline: {
            styleOverrides: {
                body: { fontVariantNumeric: 'tabular-nums' },
                '*:focus-visible': { outline: '3px solid var(--mui-palette-ochre)', outlineOffset: 2 },
                '@media (prefers-reduced-motion: reduce)': {
                    '*': { transition: 'none !important', animation: 'none !important' },
                },
            },
        },
        MuiButtonBase: { defaultProps: { disableRipple: true }, styleOverrides: { root: { fontFamily: body } } },
        MuiButton: {
            defaultProps: { disableElevation: true, variant: 'outlined' },
            styleOverrides: {
                root: { minHeight: 44, paddingInline: 16, borderRadius: 6 },
                sizeSmall: { paddingInline: 10, fontSize: 14 },
            },
        },
        MuiPaper: {
            defaultProps: { elevation: 0 },
            styleOverrides: { root: { backgroundImage: 'none' } },
        },
        MuiDialog: { styleOverrides: { paper: { border: '1px solid var(--mui-palette-divider)' } } },
        MuiTextField: { defaultProps: { size: 'small', fullWidth: true } },
        MuiOutlinedInput: {
            styleOverrides: { root: { backgroundColor: 'var(--mui-palette-background-paper)', minHeight: 44 } },
        },
        MuiLink: { defaultProps: { underline: 'hover' } },
    },
});
