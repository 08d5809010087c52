<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\Models\Organisation;
use App\Judging\Judged;
use App\Judging\JudgingVersion;
use App\Judging\KitContents;
use App\Judging\KitJudge;
use App\Judging\KitStates;
use App\Judging\StateCounts;
use App\Kits\Models\Kit;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Sarcina\Core\Calendar\Day;
use Sarcina\Core\Check\Judge;

/** How many kits are judged in a second from the database, beside what the core does alone with the same kits. Nothing is written. */
final class FleetJudge extends Command
{
    private const MOST = 500;

    /** As many as are judged at once when states are renewed. */
    private const AT_ONCE = KitStates::AT_ONCE;

    protected $signature = 'fleet:judge';

    protected $description = 'Measures the judging of kits for bin/sarcina bench';

    public function handle(KitStates $states, KitJudge $judge, KitContents $contents, JudgingVersion $version): int
    {
        $today = Organisation::current()->today();
        $begun = hrtime(true);
        $marked = DB::table('kit_states')->where('is_marked', true)->count();
        $states->judgeMarked($today, 7200.0);
        StateCounts::putTogether();
        $this->line(sprintf('%d kits that were marked judged in %d s.', $marked, (hrtime(true) - $begun) / 1e9));
        /** @var list<Kit> $kits */
        $kits = Kit::byThemselves()->with(['place', 'modules'])->orderBy('code')->limit(self::MOST)->get()->all();
        // Once for each design before it is measured: what is read once for all kits is in memory then.
        foreach (array_column(
            array_map(static fn (Kit $kit): array => ['design' => $kit->design_edition_id, 'kit' => $kit], $kits),
            'kit',
            'design',
        ) as $kit) {
            $judge->judge($kit, $today);
        }
        [$whole, $alone] = [0, 0];
        foreach (array_chunk($kits, self::AT_ONCE) as $some) {
            $from = hrtime(true);
            $seen = $version->now();
            $contents->readAhead($some, Day::of($today));
            $judged = array_map(static fn (Kit $kit): Judged => $judge->judge($kit, $today, version: $seen), $some);
            $whole += hrtime(true) - $from;
            // In turn with the former, so that the machine's moods fall on both alike.
            $from = hrtime(true);
            foreach ($judged as $one) {
                Judge::judge($one->judgement->assignment);
            }
            $alone += hrtime(true) - $from;
        }
        $this->line(sprintf(
            '%d kits judged from the database: %d a second, %.2f of what the core does alone with the same kits (%d a second); aim at least 0.5',
            count($kits), count($kits) / ($whole / 1e9), $alone / $whole, count($kits) / ($alone / 1e9),
        ));

        return self::SUCCESS;
    }
}
