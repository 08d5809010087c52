import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { questions } from '../api/queries';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Sheet } from '../ui/Page';
import { Figure } from './Figure';
import type { Draft } from './packing';
import type { PackingHands } from './usePacking';
import { words } from './words';

const units = ['days', 'weeks', 'months'] as const;
/** What a design asks of its kits beside their contents: what they are, limits, and when they are checked. */
export function DesignSheet({ hands: { packing, change, set } }: { hands: PackingHands }) {
    const { policy } = packing.draft;
    const { data: choices } = useQuery(questions.choices());
    const { data: organisation } = useQuery(questions.organisation());
    const put = (to: Partial<Draft['policy']>, what: string) =>
        change((now) => ({ ...now, policy: { ...now.policy, ...to } }), `policy ${what}`);
    const modules = (choices ?? []).filter((one) => one.what === 'module');
    return (
        <Sheet title={words.design}>
            <Write
                label={words.designName}
                size="small"
                fullWidth
                value={packing.name}
                onWrite={(name) => set({ name })}
                help={words.designNameHelp}
                slotProps={{ htmlInput: { maxLength: 120 } }}
            />
            {packing.design === null && (
                <Choose
                    label={words.serves}
                    size="small"
                    fullWidth
                    sx={{ mt: 3 }}
                    value={packing.serves ?? ''}
                    empty={words.servesNothing}
                    onChoose={(serves) => set({ serves: serves === '' ? null : serves })}
                    options={modules.map((one) => [one.wanted, words.servesModule(one.title)] as const)}
                />
            )}
            <Row columns="repeat(2, minmax(0, 1fr))">
                <Figure
                    label={words.emptyMass}
                    value={policy.empty_mass_g}
                    isWeight
                    least={0}
                    most={100_000}
                    help={words.emptyMassHelp}
                    onFigure={(empty_mass_g) => put({ empty_mass_g }, 'empty')}
                />
                <Figure
                    label={words.maxMassOfKit}
                    value={policy.max_mass_g}
                    isWeight
                    help={words.maxMassHelp}
                    onFigure={(max_mass_g) => put({ max_mass_g }, 'mass')}
                />
                <Figure
                    label={words.maxVolumeOfKit}
                    value={policy.max_volume_ml}
                    most={10_000_000}
                    onFigure={(max_volume_ml) => put({ max_volume_ml }, 'volume')}
                />
                <Figure
                    label={`${words.maxCost}, ${organisation?.currency ?? ''}`}
                    value={policy.max_cost}
                    most={1_000_000_000}
                    minor={100}
                    onFigure={(max_cost) => put({ max_cost }, 'cost')}
                />
                <Choose
                    label={words.checkEvery}
                    size="small"
                    value={policy.every_unit ?? ''}
                    empty={words.noInterval}
                    onChoose={(unit) => {
                        const every_unit = units.find((one) => one === unit) ?? null;
                        put(
                            { every_unit, every_count: every_unit === null ? null : (policy.every_count ?? 12) },
                            'unit',
                        );
                    }}
                    options={units.map((unit) => [unit, words.units[unit]] as const)}
                />
                {policy.every_unit !== null && (
                    <Figure
                        label={words.everyCount}
                        value={policy.every_count}
                        isNeeded
                        most={120}
                        onFigure={(every_count) => put({ every_count }, 'count')}
                    />
                )}
                <Figure
                    label={words.margin}
                    value={policy.margin_days}
                    isNeeded
                    least={0}
                    most={365}
                    onFigure={(days) => put({ margin_days: days ?? 0 }, 'margin')}
                />
                <Figure
                    label={words.grace}
                    value={policy.grace_days}
                    isNeeded
                    least={0}
                    most={90}
                    onFigure={(days) => put({ grace_days: days ?? 0 }, 'grace')}
                />
                <Figure
                    label={words.notReadyAfter}
                    value={policy.not_ready_after_days}
                    least={0}
                    most={3650}
                    onFigure={(days) => put({ not_ready_after_days: days }, 'not ready after')}
                />
            </Row>
            <Choose
                label={words.wrappers}
                size="small"
                fullWidth
                value={policy.wrappers ?? ''}
                empty={words.wrappersUnsaid}
                onChoose={(wrappers) =>
                    put({ wrappers: wrappers === 'off' || wrappers === 'on' ? wrappers : null }, 'wrappers')
                }
                options={[
                    ['off', words.wrappersOff],
                    ['on', words.wrappersOn],
                ]}
            />
            <Typography component="div" sx={{ display: 'grid', mt: 1 }}>
                <Tick
                    label={words.isKitSealed}
                    checked={policy.sealed}
                    onTick={(sealed) => put({ sealed }, 'sealed')}
                />
                <Tick
                    label={words.latexFree}
                    checked={policy.latex_free}
                    onTick={(latex_free) => put({ latex_free }, 'latex')}
                />
            </Typography>
        </Sheet>
    );
}
