<?php

declare(strict_types=1);

namespace App\Judging;

use Illuminate\Support\Facades\DB;

/**
 * Plans as they were read under one version, kept so that nobody reads a dozen tables for them: a plan rests on its design, its lists and
 * the catalogue, and every change of those raises the version. One that was read under another version, or by other rules, is not used.
 */
final class KeptPlans
{
    /**
     * @param  list<string>  $plans
     * @return array<string, array{KitPlan, array<string, object>}> those that are kept, each with the catalogue's rows of the items that it names
     */
    public function find(array $plans, int $version): array
    {
        $found = [];
        foreach (DB::table('kept_plans')->whereIn('plan', $plans)->where('version', $version)->where('rules', self::rules())
            ->get(['plan', 'body', 'seal']) as $kept) {
            if (hash_equals($kept->seal, self::seal($kept->body))) {
                /** @var array{KitPlan, array<string, object>} $read */
                $read = unserialize($kept->body);
                $found[$kept->plan] = $read;
            }
        }

        return $found;
    }

    /**
     * @param  array<string, object>  $rows  of the items that it names
     */
    public function keep(string $plan, int $version, KitPlan $read, array $rows): void
    {
        $body = serialize([$read, $rows]);
        DB::table('kept_plans')->upsert(
            [['plan' => $plan, 'version' => $version, 'rules' => self::rules(), 'body' => $body, 'seal' => self::seal($body)]],
            ['plan'],
        );
    }

    /** @return list<string> plans that are kept under this version */
    public function under(int $version): array
    {
        $kept = DB::table('kept_plans')->where('version', $version)->where('rules', self::rules())->pluck('plan');

        return array_values(array_map(strval(...), $kept->all()));
    }

    private static function rules(): string
    {
        return config()->string('judging.rules');
    }

    /** Who can write to the table alone cannot make this application read what they wrote. */
    private static function seal(string $body): string
    {
        return hash_hmac('sha256', $body, config()->string('app.key'));
    }
}
