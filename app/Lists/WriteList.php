<?php

declare(strict_types=1);

namespace App\Lists;

use App\Accounts\Models\Organisation;
use App\Catalogue\Classes;
use App\Designs\KitsKeeping;
use App\Judging\KitPlans;
use App\Judging\KitStates;
use App\Kits\Models\Kit;
use App\Lists\Models\KitList;
use App\Lists\Models\Line;
use App\Support\Stale;
use App\Support\Transaction;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Sarcina\Core\Format\InvalidDocument;
use Sarcina\Core\Format\Json;
use Sarcina\Core\Format\KitDocument;

/**
 * Makes lists and changes those that nobody has confirmed. A confirmed edition never changes; the database refuses it too.
 */
final class WriteList
{
    private const AT_ONCE = 500;

    public function __construct(
        private readonly UnsoundList $unsound,
        private readonly Classes $classes,
        private readonly KitPlans $plans,
        private readonly KitStates $states,
    ) {
    }

    /**
     * @param  array{code: string, edition: string, origin: string, kind: string, supersedes_id?: string|null, copied_from_id?: string|null}  $about
     *
     * @throws ValidationException at each line that the core refuses
     */
    public function create(array $about, ListContent $content, string $field = ''): KitList
    {
        $this->unsound->refuse($content, $field);

        return Transaction::run(function () use ($about, $content): KitList {
            $list = KitList::query()->create([
                ...$about, ...$content->columns(),
                'revision' => 1,
            ]);
            $this->write($list, $content);

            return $list;
        });
    }

    /**
     * @param  int  $base  the revision that the change was based on
     *
     * @throws Stale where somebody else changed it in the meantime
     * @throws ValidationException where it is confirmed, or at each line that the core refuses
     */
    public function edit(KitList $list, int $base, ListContent $content): KitList
    {
        $this->unsound->refuse($content, '');

        return Transaction::run(function () use ($list, $base, $content): KitList {
            $this->states->beginChange();
            $list = KitList::query()->where('id', $list->id)->lockForUpdate()->firstOrFail();
            if ($list->confirmed_at !== null) {
                throw ValidationException::withMessages(['lines' => "Edition {$list->edition} is confirmed and never ".
                    'changes. Make a new edition, and change that.']);
            }
            if ($list->revision !== $base) {
                throw new Stale(
                    'Somebody else changed this list in the meantime. Nothing was saved; open it again and enter your change on what is there now.',
                    ["It was changed to revision {$list->revision}; yours began with {$base}."],
                    0,
                );
            }
            $list->update([...$content->columns(), 'revision' => $base + 1]);
            $this->write($list, $content);
            $this->mark($list);
            $this->refuseClashes($list);

            return $list;
        });
    }

    /**
     * A list may be sound by itself and yet not go together with what a design adds to it.
     *
     * @throws InvalidDocument
     */
    private function refuseClashes(KitList $list): void
    {
        $today = app(Organisation::class)->today();
        $kits = Kit::byThemselves()->whereIn('id', Kit::withParents(KitsKeeping::any([$list->id])))->with(['place', 'modules'])->get();
        foreach ($kits->unique(static fn (Kit $kit): string => $kit->modules->isEmpty() ? $kit->design_edition_id : $kit->id) as $kit) {
            $this->states->renew($kit, $today);
        }
    }

    /** Kits that are held to the list are judged again before they are shown. */
    public function mark(KitList $list): void
    {
        $this->plans->forget();
        $this->states->mark(KitsKeeping::any([$list->id]));
    }

    private function write(KitList $list, ListContent $content): void
    {
        $items = DB::table('items')->pluck('id', 'code')->all();
        $before = $list->lines()->with(['entries.item', 'entries.limits'])->get()->keyBy('code');
        $list->exclusions()->delete();
        foreach ($content->excludes as $class) {
            $list->exclusions()->create(['class' => $class]);
        }
        $named = $content->excludes;
        [$codes, $entries, $changed] = [[], [], []];
        foreach ($content->lines as $position => $written) {
            $codes[] = $written->code;
            $known = $before->get($written->code);
            $line = $known ?? new Line(['list_id' => $list->id]);
            $isSame = $known !== null && LineContent::of($known)->document() === $written->document();
            $was = $known === null || $isSame ? null : self::asText($known);
            $line->fill(['position' => $position, ...$written->columns()])->save();
            if (! $isSame && $known !== null) {
                self::removeEntries($line);
            }
            $entries = $isSame ? $entries : [...$entries, $line->id => $written->accepts];
            array_push($named, ...array_filter(array_column($written->accepts, 'class')));
            if ($was !== null) {
                $changed[$line->id] = [$line, $was];
            }
        }
        self::insertEntries($entries, $items);
        foreach ($changed as [$line, $was]) {
            if ($was !== self::asText($line->load(['entries.item', 'entries.limits']))) {
                // What was compared is no longer what stands there.
                $list->confirmations()->where('line_code', $line->code)->delete();
            }
        }
        foreach ($before as $code => $line) {
            if (! in_array((string) $code, $codes, true)) {
                self::remove($line);
                $list->confirmations()->where('line_code', $code)->delete();
            }
        }
        $this->classes->make(array_values($named));
    }

    /** A line with all that belongs to it. */
    public static function remove(Line $line): void
    {
        self::removeEntries($line);
        $line->delete();
    }

    /**
     * @param  list<EntryContent>  $accepts
     * @param  array<string, string>  $items  ids by code
     */
    public function entries(Line $line, array $accepts, array $items): void
    {
        self::removeEntries($line);
        self::insertEntries([$line->id => $accepts], $items);
    }

    private static function removeEntries(Line $line): void
    {
        DB::table('line_entry_limits')->whereIn('line_entry_id', $line->entries()->pluck('id'))->delete();
        $line->entries()->delete();
    }

    /**
     * Many at once: a list may name thousands.
     *
     * @param  array<string, list<EntryContent>>  $accepts  by line
     * @param  array<string, string>  $items  ids by code
     */
    private static function insertEntries(array $accepts, array $items): void
    {
        $rows = [];
        foreach ($accepts as $line => $entries) {
            foreach ($entries as $position => $entry) {
                $rows[] = [
                    'line_id' => $line, 'position' => $position, 'item_id' => $entry->item === null ? null : $items[$entry->item],
                    'class' => $entry->class,
                ];
            }
        }
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            DB::table('line_entries')->insert($some);
        }
        $limited = array_filter($accepts, static fn (array $entries): bool => array_filter(
            $entries, static fn (EntryContent $entry): bool => $entry->min !== [] || $entry->max !== [],
        ) !== []);
        $limits = [];
        foreach (DB::table('line_entries')->whereIn('line_id', array_keys($limited))->get(['id', 'line_id', 'position']) as $made) {
            array_push($limits, ...$limited[$made->line_id][$made->position]->limits(['line_entry_id' => $made->id]));
        }
        foreach (array_chunk($limits, self::AT_ONCE) as $some) {
            DB::table('line_entry_limits')->insert($some);
        }
    }

    private static function asText(Line $line): string
    {
        return Json::write(KitDocument::line(ListLoader::line($line))).$line->need;
    }
}
