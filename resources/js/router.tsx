import { lazy, Suspense, type ReactNode } from 'react';
import { createBrowserRouter } from 'react-router';
import { Frame } from './session/Frame';
import { TodayPage } from './today/TodayPage';
import { Waiting } from './ui/Page';

const part = (page: ReactNode) => <Suspense fallback={<Waiting error={null} />}>{page}</Suspense>;

const CheckListPage = lazy(() => import('./check/CheckListPage'));
const CheckPage = lazy(() => import('./check/CheckPage'));
const SignedCheckPage = lazy(() => import('./check/SignedCheckPage'));
const RestockListPage = lazy(() => import('./restock/RestockListPage'));
const RestockPage = lazy(() => import('./restock/RestockPage'));
const PlacesPage = lazy(() => import('./pack/PlacesPage'));
const KitPage = lazy(() => import('./pack/KitPage'));
const EquipPage = lazy(() => import('./pack/EquipPage'));
const HistoryPage = lazy(() => import('./pack/HistoryPage'));
const ListsPage = lazy(() => import('./lists/ListsPage'));
const ItemsPage = lazy(() => import('./lists/ItemsPage'));
const ItemPage = lazy(() => import('./lists/ItemPage'));
const MorePage = lazy(() => import('./session/MorePage'));
const NotFoundPage = lazy(() => import('./session/NotFoundPage'));

/** Every screen by its address. Only Today comes with the first load. */
export const router = createBrowserRouter([
    {
        element: <Frame />,
        children: [
            { path: '/', element: <TodayPage /> },
            { path: '/lists', element: part(<ListsPage />) },
            { path: '/items', element: part(<ItemsPage />) },
            { path: '/items/:code', element: part(<ItemPage />) },
            { path: '/kits', element: part(<PlacesPage />) },
            { path: '/kits/new', element: part(<EquipPage />) },
            { path: '/kits/:code', element: part(<KitPage />) },
            { path: '/kits/:code/check', element: part(<CheckPage />) },
            { path: '/kits/:code/restock', element: part(<RestockPage />) },
            { path: '/kits/:code/history', element: part(<HistoryPage />) },
            { path: '/check', element: part(<CheckListPage />) },
            { path: '/checks/:id', element: part(<SignedCheckPage />) },
            { path: '/restock', element: part(<RestockListPage />) },
            { path: '/more', element: part(<MorePage />) },
            { path: '*', element: part(<NotFoundPage />) },
        ],
    },
]);
