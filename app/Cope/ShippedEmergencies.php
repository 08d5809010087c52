<?php

declare(strict_types=1);

namespace App\Cope;

use App\Cope\Models\Emergency;
use App\Lists\EntryContent;
use Sarcina\Core\Kit\Scope;

/** The kinds of emergency that Sarcina ships (database/reference/emergencies.json), unconfirmed: those that are not there yet are added. */
final class ShippedEmergencies
{
    public function __construct(private readonly WriteEmergency $write)
    {
    }

    /** @return int how many were added */
    public function fit(): int
    {
        /**
         * @var array{basis: string, emergencies: list<array{
         *     code: string, title: string, scope: string, helpers: int,
         *     needs: list<array{
         *         id: string, title: string, quantity: int, reusable: bool,
         *         accepts: list<array{item?: string, class?: string, min?: array<string, string>, max?: array<string, string>}>,
         *     }>,
         * }>} $shipped
         */
        $shipped = json_decode((string) file_get_contents(database_path('reference/emergencies.json')), true, 32, JSON_THROW_ON_ERROR);
        $there = Emergency::query()->pluck('code')->all();
        $added = 0;
        foreach ($shipped['emergencies'] as $one) {
            if (in_array($one['code'], $there, true)) {
                continue;
            }
            $this->write->keep($one['code'], 0, new EmergencyContent(
                $one['title'],
                Scope::from($one['scope']),
                $shipped['basis'],
                array_map(static fn (array $need): NeedContent => new NeedContent(
                    $need['id'], $need['title'], $need['quantity'], $need['reusable'], array_map(EntryContent::ofDocument(...), $need['accepts']),
                ), $one['needs']),
                $one['helpers'],
            ));
            $added++;
        }

        return $added;
    }
}
