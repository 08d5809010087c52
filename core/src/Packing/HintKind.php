<?php

declare(strict_types=1);

namespace Sarcina\Core\Packing;

/** What may be better about how a kit is packed. None of it changes a verdict. */
enum HintKind: string
{
    case CompanionMissing = 'companion_missing';
    case CompanionApart = 'companion_apart';
    case GlovesNotFirst = 'gloves_not_first';
    case CriticalBehind = 'critical_behind';
    case StartEarly = 'start_early';
    case LayersApart = 'layers_apart';
    case BeyondScope = 'beyond_scope';
    case ExcludedClass = 'excluded_class';
    case LookAlikes = 'look_alikes';
    case Latex = 'latex';
    case CautionMissing = 'caution_missing';
    case OneMeans = 'one_means';
    case TwoModels = 'two_models';
    case OneGloveSize = 'one_glove_size';
    case WrapperLeft = 'wrapper_left';
    case Wet = 'wet';
}
