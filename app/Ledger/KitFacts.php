<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Kits\Models\Kit;
use App\Ledger\Parts\KitChanged;
use App\Ledger\Parts\SealEvent;

/**
 * What is known of a kit beside its contents: its edition of a design, place and scope, what it is a module in, its seal, and the days of its checks.
 * It follows from the kit's operations, in the order in which they were done, and from nothing else.
 */
final readonly class KitFacts
{
    /** The columns of `kits` that are kept from the record. */
    public const COLUMNS = [
        'code', 'name', 'design_edition_id', 'configuration_id', 'parent_kit_id', 'slot_id', 'place_id',
        'scope', 'seal', 'seal_number', 'seal_broken_on', 'seal_broken_reason',
        'used_on', 'last_full_on', 'last_quick_on', 'disputed_by', 'retired_on',
        'seal_doubt', 'seal_doubted_on', 'recheck_on',
    ];

    private const FIELDS = [
        'code' => 'code',
        'name' => 'name',
        'edition' => 'design_edition_id',
        'configuration' => 'configuration_id',
        'parent' => 'parent_kit_id',
        'slot' => 'slot_id',
        'place' => 'place_id',
        'scope' => 'scope',
        'retired' => 'retired_on',
    ];

    /** @param  array<string, int|string|null>  $columns */
    private function __construct(private array $columns)
    {
    }

    public static function unknown(): self
    {
        return new self([...array_fill_keys(self::COLUMNS, null), 'scope' => 'first_aider', 'seal' => 'none']);
    }

    public static function of(Kit $kit): self
    {
        return self::from($kit->getAttributes());
    }

    /** @param  array<string, mixed>  $row  of `kits` */
    public static function from(array $row): self
    {
        $columns = [];
        foreach (self::COLUMNS as $column) {
            $value = $row[$column] ?? null;
            $columns[$column] = $value === null ? null : ($column === 'disputed_by' ? (int) $value : (string) $value);
        }

        return new self($columns);
    }

    /** @param  list<KitEvent>  $events */
    public static function after(array $events): self
    {
        usort($events, static fn (KitEvent $one, KitEvent $other): int => [$one->doneAt, $one->number] <=> [$other->doneAt, $other->number]);

        return array_reduce($events, static fn (self $facts, KitEvent $event): self => $facts->then($event), self::unknown());
    }

    public function then(KitEvent $event): self
    {
        $now = $this->columns;
        foreach ($event->changes as $change) {
            $column = self::FIELDS[$change->field] ?? null;
            if ($column !== null) {
                $now[$column] = $change->becomes;
            }
        }
        $isSet = false;
        foreach ($event->standing === null || $event->standing === 'stands' ? $event->seals : [] as $seal) {
            if ($seal->event === SealEvent::MISREAD) {
                $now = [...$now, 'seal_doubt' => $seal->reason, 'seal_doubted_on' => $now['seal_doubted_on'] ?? $event->day];

                continue;
            }
            if ($seal->event === SealEvent::READ) {
                $now = $now['seal_doubt'] === $seal->reason ? [...$now, 'seal_doubt' => null, 'seal_doubted_on' => null] : $now;

                continue;
            }
            $isSet = $seal->event === 'set';
            $now = $isSet
                ? [...$now, 'seal' => 'intact', 'seal_number' => $seal->sealNumber, 'seal_broken_on' => null, 'seal_broken_reason' => null]
                : [
                    ...$now,
                    'seal' => 'broken',
                    'seal_number' => $seal->sealNumber,
                    'seal_broken_on' => $event->day,
                    'seal_broken_reason' => $seal->reason,
                ];
        }
        if ($event->asksCheck) {
            $now['recheck_on'] ??= $event->day;
        }
        if ($event->isUse) {
            $now['used_on'] = $event->day;
        }

        return new self(match (true) {
            self::isRepackWithCounts($event) => self::answered($now, $event, $isSet),
            $event->standing === 'disputed' => [...$now, 'disputed_by' => max($event->number, (int) $now['disputed_by'])],
            $event->standing !== 'stands' => $now,
            $event->kind === OperationKind::QuickCheck => [...$now, 'last_quick_on' => $event->day],
            // A full check answers what happened before it: the use, the broken seal, the dispute.
            // A dispute that was recorded after it is about this very check, whatever its own clock said: that one stays.
            default => self::answered($now, $event, $isSet),
        });
    }

    /** Says whether it is a repack that asked number, date and condition of every piece: it counts as a full check. */
    private static function isRepackWithCounts(KitEvent $event): bool
    {
        return array_filter($event->changes, static fn (KitChanged $change): bool => $change->field === KitChanged::COUNTED) !== [];
    }

    /**
     * @param  array<string, int|string|null>  $now
     * @return array<string, int|string|null> after a full check
     */
    private static function answered(array $now, KitEvent $event, bool $isSet): array
    {
        return [
            ...$now, 'last_full_on' => $event->day, 'used_on' => null, 'seal_broken_on' => null, 'seal_broken_reason' => null,
            'seal_doubt' => null, 'seal_doubted_on' => null, 'recheck_on' => $event->restsOnLostTail ? $event->day : null,
            ...($isSet ? [] : ['seal' => 'none', 'seal_number' => null]), 'disputed_by' => self::doubtAfter($event, (int) $now['disputed_by']),
        ];
    }

    private static function doubtAfter(KitEvent $check, int $disputed): ?int
    {
        $isAnswered = $check->number === KitEvent::FORESEEN || $disputed < $check->number;
        $left = max($isAnswered ? 0 : $disputed, $check->leavesDoubt ? $check->number : 0);

        return $left === 0 ? null : $left;
    }

    /** @return array<string, int|string|null> by column of `kits` */
    public function columns(): array
    {
        return $this->columns;
    }

    /** @return list<string> the columns in which the other differs */
    public function differencesFrom(self $other): array
    {
        return array_values(array_filter(self::COLUMNS, fn (string $column): bool => $this->columns[$column] !== $other->columns[$column]));
    }
}
