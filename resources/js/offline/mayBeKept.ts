/**
 * What of the API may be kept for reading without a network, and nothing else: never records about people, exports, imports, nor what
 * a session needs.
 */
const KEPT = [
    /^\/api\/(today|kits|places|lists|items|classes|stores|designs|organisation|shifts|modules|choices|assessments)$/,
    /^\/api\/items\/[^/]+\/lots$/,
    /^\/api\/choices\/(items|lists)$/,
    /^\/api\/(lists|items|stores|assessments)\/[^/]+$/,
    /^\/api\/kits\/[^/]+(\/(restock|adoption|build))?$/,
    /^\/api\/rounds\/[^/]+$/,
];

export function mayBeKept(url: URL): boolean {
    return url.searchParams.get('format') !== 'csv' && KEPT.some((path) => path.test(url.pathname));
}
