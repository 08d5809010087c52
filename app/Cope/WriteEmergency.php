<?php

declare(strict_types=1);

namespace App\Cope;

use App\Accounts\Models\User;
use App\Catalogue\Classes;
use App\Cope\Models\Emergency;
use App\Support\Stale;
use App\Support\Transaction;
use Carbon\CarbonInterface;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Format\InvalidDocument;

/** What a lead does with a kind of emergency: makes it, changes what it takes, confirms it. What was changed is no longer confirmed. */
final class WriteEmergency
{
    public function __construct(private readonly Classes $classes)
    {
    }

    /**
     * @param  int  $base  the revision that the change was based on; 0: it is new
     *
     * @throws Stale where somebody else changed it in the meantime
     * @throws ValidationException at each need that the core refuses
     */
    public function keep(string $code, int $base, EmergencyContent $content): Emergency
    {
        $items = $this->refuseUnsound($code, $content);

        return Transaction::run(function () use ($code, $base, $content, $items): Emergency {
            $emergency = $this->lock($code, $base);
            $emergency->fill([
                'title' => $content->title, 'scope' => $content->scope, 'basis' => $content->basis, 'helpers' => $content->helpers,
                'revision' => $base + 1,
                'confirmed_at' => null, 'confirmed_by_id' => null,
            ])->save();
            $this->needs($emergency, $content->needs, $items);
            $this->classes->make(array_values(array_filter(array_merge(
                ...array_map(static fn (NeedContent $need): array => array_column($need->accepts, 'class'), $content->needs),
            ), is_string(...))));

            return $emergency;
        });
    }

    public function confirm(string $code, int $base, User $by, CarbonInterface $at): Emergency
    {
        return Transaction::run(function () use ($code, $base, $by, $at): Emergency {
            $emergency = $this->lock($code, $base);
            if ($emergency->confirmed_at === null) {
                $emergency->fill(['confirmed_at' => $at->copy()->utc()->format('Y-m-d H:i:s'), 'confirmed_by_id' => $by->id])->save();
            }

            return $emergency;
        });
    }

    private function lock(string $code, int $base): Emergency
    {
        $emergency = Emergency::query()->where('code', $code)->lockForUpdate()->first();
        if (($emergency->revision ?? 0) !== $base) {
            throw new Stale(
                'Somebody else changed this emergency in the meantime. Nothing was saved; open it again and enter your change on what is there now.',
                [], 0,
            );
        }

        return $emergency ?? new Emergency(['code' => $code, 'position' => 1 + (int) Emergency::query()->max('position')]);
    }

    /** @return array<string, string> ids of items by code */
    private function refuseUnsound(string $code, EmergencyContent $content): array
    {
        $errors = [];
        $items = DB::table('items')->pluck('id', 'code')->all();
        foreach ($content->needs as $at => $need) {
            foreach ($need->accepts as $place => $entry) {
                if ($entry->item !== null && ! isset($items[$entry->item])) {
                    $errors["needs.{$at}.accepts.{$place}.item"][] = "There is no item \"{$entry->item}\" in the catalogue. Choose another.";
                }
                if ($entry->item === null && preg_match(Classes::PATTERN, (string) $entry->class) !== 1) {
                    $errors["needs.{$at}.accepts.{$place}.class"][] = 'Write the class in small letters with dots, such as dressing.sterile.';
                }
            }
        }
        try {
            $content->asked($code);
        } catch (InvalidDocument $refused) {
            foreach ($refused->problems as $problem) {
                $path = (string) preg_replace(['#^/emergencies/0/#', '#/#', '#\.id$#'], ['', '.', '.title'], $problem->path);
                $errors[$path][] = $problem->message;
            }
        }
        if ($errors !== []) {
            throw ValidationException::withMessages($errors);
        }

        /** @var array<string, string> $items */
        return $items;
    }

    /**
     * @param  list<NeedContent>  $needs
     * @param  array<string, string>  $items
     */
    private function needs(Emergency $emergency, array $needs, array $items): void
    {
        $old = DB::table('emergency_needs')->where('emergency_id', $emergency->id)->pluck('id');
        $entries = DB::table('emergency_entries')->whereIn('emergency_need_id', $old)->pluck('id');
        DB::table('emergency_limits')->whereIn('emergency_entry_id', $entries)->delete();
        DB::table('emergency_entries')->whereIn('id', $entries)->delete();
        DB::table('emergency_needs')->whereIn('id', $old)->delete();
        foreach ($needs as $position => $need) {
            $id = DB::table('emergency_needs')->insertGetId([
                'emergency_id' => $emergency->id, 'position' => $position, 'code' => $need->code, 'title' => $need->title,
                'quantity' => $need->quantity, 'is_reusable' => $need->isReusable,
            ]);
            foreach ($need->accepts as $place => $entry) {
                $made = DB::table('emergency_entries')->insertGetId([
                    'emergency_need_id' => $id, 'position' => $place, 'item_id' => $entry->item === null ? null : $items[$entry->item],
                    'class' => $entry->class,
                ]);
                DB::table('emergency_limits')->insert($entry->limits(['emergency_entry_id' => $made]));
            }
        }
    }
}
