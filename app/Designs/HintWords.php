<?php

declare(strict_types=1);

namespace App\Designs;

use App\Catalogue\Catalogue;
use App\Judging\KitPlan;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Packing\Hint;
use Sarcina\Core\Packing\HintKind;
use Sarcina\Core\Packing\Wrappers;

/** Advice on packing in words. */
final class HintWords
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    /**
     * @param  array<string, string>  $compartments  names by id
     * @param  Wrappers|null  $wrappers  which school the design follows
     */
    public function say(Hint $hint, KitPlan $plan, array $compartments, ?Wrappers $wrappers): string
    {
        $what = $hint->item === null ? '' : $this->catalogue->name($hint->item);
        $others = implode(' or ', array_map($this->catalogue->name(...), $hint->others));
        $pocket = $compartments[$hint->compartment ?? ''] ?? 'The pocket';
        $need = $hint->line === null ? $what : $plan->line($hint->line)->need;

        return match ($hint->kind) {
            HintKind::CompanionMissing => "{$what} needs {$others} beside it, and no line of this design asks for one. {$this->why($hint)}",
            HintKind::CompanionApart => "{$what} and {$others} are in different pockets. {$this->why($hint)} Put them together.",
            HintKind::GlovesNotFirst => "{$what} is behind ".self::closures($hint->figure).', and other things are reached before it. '.
                'What protects the helper is needed first.',
            HintKind::CriticalBehind => "{$need} is critical and behind ".self::closures($hint->figure).
                '. Put it where one or none has to be opened.',
            HintKind::StartEarly => "{$what} must be started {$hint->figure} ".($hint->figure === 1 ? 'minute' : 'minutes').
                ' before it works. Mark its pocket, so that whoever fetches it knows.',
            HintKind::LayersApart => 'The layers of a dressing ('.implode(', ', array_map($this->catalogue->name(...), $hint->others)).
                ') are in different pockets. Put what touches the wound, what soaks and what holds into one.',
            HintKind::BeyondScope => "{$what} is outside the scope of practice of those who have a kit of this design.",
            HintKind::ExcludedClass => "{$what} is of a class that the list excludes.",
            HintKind::LookAlikes => "{$what} and {$others} are easily confused, and both are in {$pocket}. {$this->by($hint)}",
            HintKind::Latex => "{$what} contains latex, and somebody of the team is allergic to it.",
            HintKind::CautionMissing => $hint->item === null
                ? "{$pocket} holds sharps and has no caution. Write one for whoever opens it."
                : "{$what} is for trained people only and has no caution. Write one at the item.",
            HintKind::OneMeans => "{$what} is the only means against severe bleeding here. Where it fails, there is ".
                ($hint->others === ['tourniquet'] ? 'no tourniquet' : 'no pressure bandage').'.',
            HintKind::TwoModels => "{$what} and {$others} are two models for one critical need. Whoever opens the kit should know one.",
            HintKind::OneGloveSize => "There is one size of gloves, {$what}. One large size fits most hands; small and large fit all.",
            HintKind::WrapperLeft => $wrappers === Wrappers::On
                ? "{$need} stays wrapped, as this design says. In need somebody has to {$this->staging($hint)} first."
                : "{$need}: {$this->staging($hint)} before it is packed, or say for this design that wrappers stay on.",
            HintKind::Wet => "{$what} must be kept dry, and {$pocket} is exposed to rain.",
        };
    }

    private static function closures(?int $count): string
    {
        return $count === 1 ? 'one closure' : "{$count} closures";
    }

    private function why(Hint $hint): string
    {
        $reason = DB::table('item_needs')->join('items', 'items.id', '=', 'item_needs.item_id')
            ->join('item_need_companions', 'item_need_companions.item_need_id', '=', 'item_needs.id')
            ->join('items as companions', 'companions.id', '=', 'item_need_companions.item_id')
            ->where('items.code', $hint->item)->whereIn('companions.code', $hint->others)->value('item_needs.reason');

        return is_string($reason) ? $reason : '';
    }

    private function by(Hint $hint): string
    {
        $by = DB::table('item_told_from')->join('items', 'items.id', '=', 'item_told_from.item_id')
            ->join('items as others', 'others.id', '=', 'item_told_from.other_id')
            ->whereIn('items.code', [$hint->item, ...$hint->others])->whereIn('others.code', [$hint->item, ...$hint->others])
            ->whereNotNull('by')->orderBy('items.code')->value('by');

        return is_string($by) ? "Tell them apart by {$by}." : 'Plan a separate pocket for each.';
    }

    private function staging(Hint $hint): string
    {
        $staging = DB::table('items')->where('code', $hint->item)->value('staging');

        return is_string($staging) ? lcfirst($staging) : 'prepare it';
    }
}
