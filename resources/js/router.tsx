import { lazy, Suspense, type ReactNode } from 'react';
import { createBrowserRouter } from 'react-router';
import { Frame } from './session/Frame';
import { Only } from './session/Only';
import { RouteTrouble } from './session/RouteTrouble';
import { TodayPage } from './today/TodayPage';
import { Waiting } from './ui/Page';

const part = (page: ReactNode) => <Suspense fallback={<Waiting error={null} />}>{page}</Suspense>;

/** What waits is sent from every screen; it need not be there before the screen is. */
const Outbox = lazy(() => import('./check/Outbox').then((part) => ({ default: part.Outbox })));
const CheckListPage = lazy(() => import('./check/CheckListPage'));
const WaitingPage = lazy(() => import('./check/WaitingPage'));
const CheckPage = lazy(() => import('./check/CheckPage'));
const SignedCheckPage = lazy(() => import('./check/SignedCheckPage'));
const RestockListPage = lazy(() => import('./restock/RestockListPage'));
const StoreWorkPage = lazy(() => import('./restock/StoreWorkPage'));
const StoresPage = lazy(() => import('./restock/StoresPage'));
const NewDesignPage = lazy(() => import('./design/DesignPage').then((part) => ({ default: part.NewDesignPage })));
const PackDesignPage = lazy(() => import('./design/DesignPage').then((part) => ({ default: part.PackDesignPage })));
const BesidePage = lazy(() => import('./design/BesidePage'));
const DesignsPage = lazy(() => import('./design/DesignsPage'));
const AccountPage = lazy(() => import('./settings/AccountPage'));
const AccountsPage = lazy(() => import('./settings/AccountsPage'));
const ShiftsPage = lazy(() => import('./assess/ShiftsPage'));
const ReferencePage = lazy(() => import('./settings/ReferencePage'));
const PoliciesPage = lazy(() => import('./settings/PoliciesPage'));
const MailPage = lazy(() => import('./settings/MailPage'));
const StartPage = lazy(() => import('./settings/StartPage'));
const DatesAheadPage = lazy(() => import('./restock/DatesAheadPage'));
const RotationPage = lazy(() => import('./rotate/RotationPage'));
const CarryPage = lazy(() => import('./carry/CarryPage'));
const RoundPage = lazy(() => import('./restock/RoundPage'));
const ToBuyPage = lazy(() => import('./restock/ToBuyPage'));
const PickListPage = lazy(() => import('./restock/PickListPage'));
const StorePage = lazy(() => import('./restock/StorePage'));
const UsePage = lazy(() => import('./use/UsePage'));
const UseListPage = lazy(() => import('./use/UseListPage'));
const ReportsPage = lazy(() => import('./report/ReportsPage'));
const LabelPage = lazy(() => import('./report/LabelPage'));
const BuildPage = lazy(() => import('./build/BuildPage'));
const RestockPage = lazy(() => import('./restock/RestockPage'));
const PlacesPage = lazy(() => import('./pack/PlacesPage'));
const TreePage = lazy(() => import('./pack/TreePage'));
const KitPage = lazy(() => import('./pack/KitPage'));
const ConfigurationPage = lazy(() => import('./pack/ConfigurationPage'));
const AdoptionPage = lazy(() => import('./pack/AdoptionPage'));
const EquipPage = lazy(() => import('./pack/EquipPage'));
const KitCopingPage = lazy(() => import('./pack/CopingPage').then((part) => ({ default: part.KitCopingPage })));
const DesignCopingPage = lazy(() => import('./pack/CopingPage').then((part) => ({ default: part.DesignCopingPage })));
const EditEmergencyPage = lazy(() => import('./lists/EditEmergencyPage'));
const EmergenciesPage = lazy(() => import('./lists/EmergenciesPage'));
const HistoryPage = lazy(() => import('./pack/HistoryPage'));
const ListsPage = lazy(() => import('./lists/ListsPage'));
const ListPage = lazy(() => import('./lists/ListPage'));
const EditListPage = lazy(() => import('./lists/EditListPage'));
const ConfirmPage = lazy(() => import('./lists/ConfirmPage'));
const ChangePage = lazy(() => import('./lists/ChangePage'));
const ComparePage = lazy(() => import('./lists/ComparePage'));
const ItemFormPage = lazy(() => import('./lists/ItemFormPage'));
const ClassesPage = lazy(() => import('./lists/ClassesPage'));
const AssessListPage = lazy(() => import('./assess/AssessListPage'));
const AssessmentPage = lazy(() => import('./assess/AssessmentPage'));
const PrintPage = lazy(() => import('./assess/PrintPage'));
const WorkPage = lazy(() => import('./assess/WorkPage'));
const ChoicesPage = lazy(() => import('./assess/ChoicesPage'));
const PeoplePage = lazy(() => import('./assess/PeoplePage'));
const SettingsPage = lazy(() => import('./settings/SettingsPage'));
const ExchangePage = lazy(() => import('./exchange/ExchangePage'));
const ItemsPage = lazy(() => import('./lists/ItemsPage'));
const ItemPage = lazy(() => import('./lists/ItemPage'));
const MorePage = lazy(() => import('./session/MorePage'));
const NotFoundPage = lazy(() => import('./session/NotFoundPage'));

/** Every screen by its address. Only Today comes with the first load. */
export const router = createBrowserRouter([
    {
        element: (
            <Frame
                waiting={
                    <Suspense fallback={null}>
                        <Outbox />
                    </Suspense>
                }
            />
        ),
        children: [
            {
                errorElement: <RouteTrouble />,
                children: [
                    { path: '/', element: <TodayPage /> },
                    { path: '/lists', element: part(<ListsPage />) },
                    { path: '/lists/:id', element: part(<ListPage />) },
                    { path: '/lists/:id/edit', element: part(<EditListPage />) },
                    { path: '/lists/:id/confirm', element: part(<ConfirmPage />) },
                    { path: '/lists/:id/change', element: part(<ChangePage />) },
                    { path: '/compare', element: part(<ComparePage />) },
                    { path: '/items/new', element: part(<ItemFormPage />) },
                    { path: '/items/:code/edit', element: part(<ItemFormPage />) },
                    { path: '/classes', element: part(<ClassesPage />) },
                    { path: '/assess', element: part(<AssessListPage />) },
                    { path: '/assess/choices', element: part(<ChoicesPage />) },
                    { path: '/assess/people', element: part(<PeoplePage />) },
                    { path: '/assess/shifts', element: part(<ShiftsPage />) },
                    { path: '/assess/:id', element: part(<AssessmentPage />) },
                    { path: '/assess/:id/print', element: part(<PrintPage />) },
                    { path: '/assess/:id/work', element: part(<WorkPage />) },
                    { path: '/settings', element: part(<SettingsPage />) },
                    { path: '/settings/people', element: part(<AccountsPage />) },
                    { path: '/settings/policies', element: part(<PoliciesPage />) },
                    { path: '/settings/mail', element: part(<MailPage />) },
                    { path: '/account', element: part(<AccountPage />) },
                    { path: '/start/reference', element: part(<ReferencePage />) },
                    { path: '/start', element: part(<StartPage />) },
                    { path: '/designs', element: part(<DesignsPage />) },
                    { path: '/designs/beside', element: part(<BesidePage />) },
                    { path: '/designs/new', element: part(<NewDesignPage />) },
                    { path: '/designs/:id/pack', element: part(<PackDesignPage />) },
                    { path: '/stores', element: part(<StoresPage />) },
                    { path: '/exchange', element: part(<ExchangePage />) },
                    { path: '/items', element: part(<ItemsPage />) },
                    { path: '/items/:code', element: part(<ItemPage />) },
                    { path: '/kits', element: part(<PlacesPage />) },
                    { path: '/places', element: part(<TreePage />) },
                    { path: '/kits/new', element: part(<EquipPage />) },
                    { path: '/kits/:code', element: part(<KitPage />) },
                    { path: '/waiting', element: part(<WaitingPage />) },
                    { path: '/kits/:code/adoption', element: part(<AdoptionPage />) },
                    { path: '/kits/:code/configuration', element: part(<ConfigurationPage />) },
                    {
                        path: '/kits/:code/check',
                        element: <Only ability="check">{part(<CheckPage />)}</Only>,
                    },
                    { path: '/shift-end', element: part(<UseListPage atEndOfShift />) },
                    { path: '/use', element: part(<UseListPage />) },
                    { path: '/kits/:code/use', element: part(<UsePage />) },
                    { path: '/kits/:code/report', element: part(<ReportsPage />) },
                    { path: '/kits/:code/label', element: part(<LabelPage />) },
                    {
                        path: '/kits/:code/build',
                        element: <Only ability="restock">{part(<BuildPage />)}</Only>,
                    },
                    {
                        path: '/kits/:code/restock',
                        element: <Only ability="restock">{part(<RestockPage />)}</Only>,
                    },
                    { path: '/kits/:code/coping', element: part(<KitCopingPage />) },
                    { path: '/designs/:id/coping', element: part(<DesignCopingPage />) },
                    { path: '/emergencies/new', element: part(<EditEmergencyPage />) },
                    { path: '/emergencies/:code/edit', element: part(<EditEmergencyPage />) },
                    { path: '/emergencies', element: part(<EmergenciesPage />) },
                    { path: '/kits/:code/history', element: part(<HistoryPage />) },
                    { path: '/check', element: <Only ability="check">{part(<CheckListPage />)}</Only> },
                    { path: '/checks/:id', element: part(<SignedCheckPage />) },
                    { path: '/restock', element: part(<RestockListPage />) },
                    { path: '/stores/:id', element: part(<StorePage />) },
                    { path: '/stores/:id/:task', element: part(<StoreWorkPage />) },
                    { path: '/pick-list', element: part(<PickListPage />) },
                    { path: '/dates-ahead', element: part(<DatesAheadPage />) },
                    { path: '/rotation', element: part(<RotationPage />) },
                    { path: '/how-many', element: part(<CarryPage />) },
                    { path: '/rounds/:id', element: part(<RoundPage />) },
                    { path: '/to-buy', element: part(<ToBuyPage />) },
                    { path: '/more', element: part(<MorePage />) },
                    { path: '*', element: part(<NotFoundPage />) },
                ],
            },
        ],
    },
]);
