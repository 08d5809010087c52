import type { Schemas } from '../api/client';
import type { Draft } from './draft';

/** A module of the kit that is closed with a seal, or should be. */
export interface DraftModule {
    code: string;
    name: string;
    /** What stands before the ids of its pockets. */
    before: string;
    /** Whether a whole seal is on it by the record. */
    isSealed: boolean;
    /** Left closed because its seal is whole, or opened; not said yet. */
    state: 'unsaid' | 'closed' | 'opened';
    /** The number as it was read on its seal. */
    sealFound: string;
    sealSet: string;
}

/** Of each sealed module of the kit it is asked whether it was opened. */
export function modulesToAsk(module: Schemas['ModuleResource']): DraftModule[] {
    if (module.code === null || module.id === null || !(module.sealed_design || module.seal?.state === 'intact')) {
        return [];
    }
    const isSealed = module.seal?.state === 'intact';
    return [
        {
            code: module.code,
            name: `${module.code} ${module.name}`,
            before: `${module.id}.`,
            isSealed,
            state: isSealed ? 'unsaid' : 'opened',
            sealFound: '',
            sealSet: '',
        },
    ];
}

/** The sealed module that a pocket is in. */
export function moduleOf(draft: Draft, pocket: string): DraftModule | undefined {
    return draft.modules.find((module) => pocket.startsWith(module.before));
}

export function setModule(draft: Draft, code: string, to: Partial<DraftModule>): Draft {
    return {
        ...draft,
        trouble: null,
        modules: draft.modules.map((module) => (module.code === code ? { ...module, ...to } : module)),
    };
}
