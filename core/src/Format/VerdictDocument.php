<?php

declare(strict_types=1);

namespace Sarcina\Core\Format;

use Sarcina\Core\Check\Finding;
use Sarcina\Core\Check\Judgement;
use Sarcina\Core\Check\LineOutcome;
use Sarcina\Core\Check\Placed;
use Sarcina\Core\Check\Restock;
use Sarcina\Core\Measure\Quantity;

/** Writes a judgement as `sarcina.verdict/1` (rules.md, check). */
final class VerdictDocument
{
    public const FORMAT = 'sarcina.verdict/1';

    /**
     * @return array{format: string, verdict: string, judged?: int, mass_g: int, lines: list<array<string, mixed>>,
     *     findings: list<array<string, string|int|null>>, restock: list<array<string, string|int|null>>}
     */
    public static function of(Judgement $judgement): array
    {
        return [
            'format' => self::FORMAT,
            'verdict' => $judgement->verdict->value,
            ...($judgement->assignment->alsoCounted === [] ? [] : ['judged' => $judgement->judged]),
            'mass_g' => $judgement->mass,
            'lines' => array_map(static fn (LineOutcome $outcome): array => self::line($judgement, $outcome), $judgement->lines),
            'findings' => array_map(self::finding(...), $judgement->findings),
            'restock' => array_map(static fn (Restock $restock): array => $restock->document(), $judgement->restock),
        ];
    }

    /** @return array<string, string|int|null> */
    private static function finding(Finding $finding): array
    {
        return [
            'kind' => $finding->kind->value,
            'severity' => $finding->severity->value,
            ...($finding->line === null ? [] : ['line' => $finding->line->id]),
            ...($finding->row === null ? [] : ['row' => $finding->index]),
            ...($finding->item === null ? [] : ['item' => $finding->item->code]),
            ...($finding->row === null ? [] : ['pocket' => $finding->row->pocket, 'lot' => $finding->row->lot]),
        ];
    }

    /** @return array<string, mixed> */
    private static function line(Judgement $judgement, LineOutcome $outcome): array
    {
        return [
            'id' => $outcome->line->id,
            'required' => self::amount($outcome->required),
            'effective' => self::amount($outcome->effective),
            'reserve' => $outcome->reserve,
            'short' => self::amount($outcome->short),
            'placed' => array_map(static function (Placed $placed) use ($judgement): array {
                $row = $judgement->assignment->contents[$placed->row];

                return [
                    'row' => $placed->row,
                    'item' => $row->item->code,
                    'lot' => $row->lot,
                    'quantity' => $placed->quantity,
                    'preference' => $placed->preference,
                    'reserve' => $placed->reserve,
                ];
            }, $outcome->placed),
        ];
    }

    private static function amount(int|Quantity $amount): int|string
    {
        return $amount instanceof Quantity ? (string) $amount : $amount;
    }
}
