<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const SIZES = ['small', 'medium', 'large', 'class-a', 'class-b', 'travel', 'vehicle'];

    private const SCOPES = ['anyone', 'first_aider', 'trained', 'clinician'];

    public function up(): void
    {
        $this->catalogue();
        $this->editions();
        $this->people();
        $this->assessments();
        $this->imports();
        $this->keepEditions();
    }

    private function catalogue(): void
    {
        Schema::table('organisations', function (Blueprint $table): void {
            // How measures are shown; they are kept as they were entered.
            $table->enum('length_unit', ['mm', 'cm', 'in'])->default('cm');
            $table->enum('mass_unit', ['g', 'oz'])->default('g');
            $table->enum('volume_unit', ['ml', 'floz'])->default('ml');
            $table->char('currency', 3)->default('GBP');
            // Records about people go this many days after they ended or their last qualification ran out.
            $table->unsignedSmallInteger('people_kept_days')->default(365);
        });
        Schema::table('items', function (Blueprint $table): void {
            $table->smallInteger('storage_min_c')->nullable();
            $table->smallInteger('storage_max_c')->nullable();
            $table->unsignedSmallInteger('opened_life')->nullable();
            $table->enum('opened_life_unit', ['days', 'weeks', 'months'])->nullable();
            $table->string('allergy', 200)->nullable();
            // Counts up at every edit: an edit based on an older one is refused.
            $table->unsignedInteger('revision')->default(1);
        });
        Schema::table('item_packs', function (Blueprint $table): void {
            // Whole minor units of the organisation's currency; null where it is not known.
            $table->unsignedInteger('price')->nullable();
        });
        Schema::create('item_classes', function (Blueprint $table): void {
            // Written with dots, as rules.md has it: dressing.sterile lies below dressing.
            $table->string('class', 120)->primary();
            $table->string('title', 120);
        });
        Schema::create('item_stand_ins', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('item_id')->constrained();
            $table->foreignUlid('stand_in_id')->constrained('items');
            $table->unsignedSmallInteger('position');
            $table->unique(['item_id', 'stand_in_id']);
        });
    }

    private function editions(): void
    {
        Schema::table('lists', function (Blueprint $table): void {
            $table->dropUnique(['code']);
            $table->unique(['code', 'edition']);
            $table->enum('kind', ['kit', 'module'])->default('kit');
            $table->foreignUlid('supersedes_id')->nullable()->constrained('lists');
            $table->foreignUlid('copied_from_id')->nullable()->constrained('lists');
            $table->unsignedInteger('revision')->default(1);
        });
        Schema::create('line_confirmations', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('list_id')->constrained('lists');
            $table->string('line_code', 20);
            $table->string('need', 160);
            $table->enum('outcome', ['matches', 'differs', 'absent']);
            // What the line asked for when it was compared, and what the person's own copy asks for.
            $table->string('asked', 40);
            $table->string('figure', 40)->nullable();
            $table->string('note', 200)->nullable();
            $table->foreignUlid('user_id')->constrained();
            $table->dateTime('confirmed_at');
            $table->unique(['list_id', 'line_code']);
        });
        // Which list a kit of that size, or a module for that risk, keeps; and which design a new kit is made of.
        Schema::create('provision_choices', function (Blueprint $table): void {
            $table->string('wanted', 30)->primary();
            $table->foreignUlid('list_id')->constrained('lists');
            $table->foreignUlid('design_id')->nullable()->constrained();
        });
    }

    private function people(): void
    {
        Schema::create('first_aiders', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('name', 120);
            // When they stopped; the record goes some time after it.
            $table->date('ended_on')->nullable();
        });
        Schema::create('qualifications', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('first_aider_id')->constrained()->cascadeOnDelete();
            $table->enum('scope', self::SCOPES);
            $table->string('title', 120);
            $table->date('expires_on')->nullable()->index();
        });
        Schema::create('shifts', function (Blueprint $table): void {
            $table->string('name', 40)->primary();
            // On which it begins, Monday first: 1, 2, 4, … 64.
            $table->unsignedTinyInteger('weekdays');
            // By the site's clock; one that ends at or before its beginning ends on the day after.
            $table->time('starts_at');
            $table->time('ends_at');
            $table->unsignedSmallInteger('position');
        });
        Schema::create('postings', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('first_aider_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('place_id')->constrained();
            $this->shift($table);
            $table->unique(['first_aider_id', 'place_id', 'shift']);
        });
        Schema::create('cover_needs', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('place_id')->constrained();
            $this->shift($table);
            $table->enum('scope', self::SCOPES);
            $table->unsignedSmallInteger('count');
            $table->unique(['place_id', 'shift', 'scope']);
        });
        // What the core said of a kit in each shift of its place; kit_states has the worst of them.
        Schema::create('kit_shift_states', function (Blueprint $table): void {
            $table->foreignUlid('kit_id')->constrained();
            $table->string('shift', 40);
            $table->foreign('shift')->references('name')->on('shifts')->cascadeOnUpdate()->cascadeOnDelete();
            $table->enum('scope', self::SCOPES);
            $table->enum('verdict', ['ready', 'ready_with_actions', 'limited', 'not_ready']);
            $table->primary(['kit_id', 'shift']);
        });
    }

    /** One that is in use is not deleted. */
    private function shift(Blueprint $table): void
    {
        $table->string('shift', 40);
        $table->foreign('shift')->references('name')->on('shifts')->cascadeOnUpdate();
    }

    private function assessments(): void
    {
        Schema::create('assessments', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('title', 120);
            $table->enum('scheme', ['headcount', 'class']);
            $table->foreignUlid('follows_id')->nullable()->constrained('assessments');
            $table->foreignUlid('started_by_id')->constrained('users');
            $table->date('started_on');
            $table->enum('chosen', ['least', 'full'])->nullable();
            $table->string('signed', 120)->nullable();
            $table->foreignUlid('signed_by_id')->nullable()->constrained('users');
            $table->date('signed_on')->nullable();
            // A year after it was signed; it is asked for again then, or when an area changes.
            $table->date('review_on')->nullable();
        });
        Schema::create('assessment_areas', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('assessment_id')->constrained();
            $table->foreignUlid('follows_id')->nullable()->constrained('assessment_areas');
            $table->unsignedSmallInteger('position');
            $table->string('name', 120);
            $table->string('hangs_at', 160)->nullable();
            $table->unsignedInteger('people')->default(0);
            $table->enum('hazard', ['low', 'high'])->default('low');
            $table->unsignedSmallInteger('points')->default(1);
            $table->unsignedSmallInteger('lone_workers')->default(0);
            $table->unsignedSmallInteger('vehicles')->default(0);
            $table->boolean('running_water')->default(true);
            $table->unsignedInteger('children')->default(0);
            $table->unsignedSmallInteger('minutes_to_help')->default(10);
            $table->string('note', 500)->nullable();
            $table->unsignedInteger('revision')->default(1);
            $table->unique(['assessment_id', 'name']);
        });
        // Where the area is; new kits hang in the first of them.
        Schema::create('assessment_area_places', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('assessment_area_id')->constrained()->cascadeOnDelete();
            $table->foreignUlid('place_id')->constrained();
            $table->unsignedSmallInteger('position');
            $table->unique(['assessment_area_id', 'place_id']);
        });
        Schema::create('assessment_area_risks', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('assessment_area_id')->constrained()->cascadeOnDelete();
            $table->string('risk', 30);
            $table->unique(['assessment_area_id', 'risk']);
        });
        Schema::create('assessment_overrides', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('assessment_area_id')->constrained()->cascadeOnDelete();
            $table->enum('plan', ['least', 'full']);
            $table->string('wanted', 30);
            $table->unsignedInteger('count');
            $table->string('reason', 500);
            $table->foreignUlid('user_id')->constrained();
            $table->dateTime('decided_at');
            $table->unique(['assessment_area_id', 'plan', 'wanted']);
        });
        // Somebody saw that an area is no longer as it was assessed.
        Schema::create('area_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('assessment_area_id')->constrained()->cascadeOnDelete();
            $table->string('what', 300);
            $table->foreignUlid('user_id')->constrained();
            $table->date('seen_on');
        });
        Schema::create('plan_tasks', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignUlid('assessment_id')->constrained();
            $table->foreignUlid('assessment_area_id')->nullable()->constrained();
            $table->unsignedSmallInteger('position');
            $table->enum('kind', ['make', 'move', 'upgrade', 'retire']);
            $table->foreignUlid('kit_id')->nullable()->constrained();
            $table->enum('wanted', self::SIZES)->nullable();
            $table->enum('state', ['open', 'done', 'dropped'])->default('open');
            $table->string('reason', 500)->nullable();
            $table->foreignUlid('closed_by_id')->nullable()->constrained('users');
            $table->date('closed_on')->nullable();
        });
        Schema::create('plan_task_modules', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('plan_task_id')->constrained()->cascadeOnDelete();
            $table->string('module', 30);
        });
    }

    private function imports(): void
    {
        Schema::create('imports', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->enum('kind', ['catalogue', 'lists', 'designs', 'kits']);
            $table->enum('format', ['json', 'csv']);
            $table->string('file_name', 160);
            $table->longText('source');
            $table->enum('state', ['reading', 'ready', 'refused', 'taking', 'done'])->default('reading');
            $table->unsignedInteger('rows')->default(0);
            $table->unsignedInteger('read')->default(0);
            $table->foreignUlid('user_id')->constrained();
            $table->dateTime('made_at');
            $table->dateTime('done_at')->nullable();
            // Why it was not taken in when somebody asked for it.
            $table->text('problem')->nullable();
        });
        Schema::create('import_rows', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('code', 160);
            $table->enum('outcome', ['new', 'changed', 'same', 'error']);
            // What changes, or what is wrong and where, one a line.
            $table->text('texts');
            $table->index(['import_id', 'outcome', 'number']);
        });
    }

    /** A confirmed edition of a list never changes, nor does a published one of a design: a change makes the next. */
    private function keepEditions(): void
    {
        $this->keep('lists', 'lists', 'OLD.confirmed_at IS NOT NULL', ['UPDATE', 'DELETE'], 'A confirmed edition never changes; make a new edition.');
        $this->keep(
            'design_editions', 'design_editions', 'OLD.published_at IS NOT NULL', ['UPDATE', 'DELETE'],
            'A published edition of a design never changes; make the next one.',
        );
        $list = [
            'lines' => 'SELECT confirmed_at FROM lists WHERE id = %s.list_id',
            'list_exclusions' => 'SELECT confirmed_at FROM lists WHERE id = %s.list_id',
            'line_confirmations' => 'SELECT confirmed_at FROM lists WHERE id = %s.list_id',
            'line_entries' => 'SELECT lists.confirmed_at FROM `lines` JOIN lists ON lists.id = `lines`.list_id WHERE `lines`.id = %s.line_id',
            'line_entry_minima' => 'SELECT lists.confirmed_at FROM line_entries JOIN `lines` ON `lines`.id = line_entries.line_id
                JOIN lists ON lists.id = `lines`.list_id WHERE line_entries.id = %s.line_entry_id',
        ];
        $design = [
            ...array_fill_keys(
                ['design_seasons', 'design_modules', 'compartments', 'placements', 'configurations', 'lines'],
                'SELECT published_at FROM design_editions WHERE id = %s.design_edition_id',
            ),
            'configuration_parts' => 'SELECT published_at FROM configurations JOIN design_editions
                ON design_editions.id = configurations.design_edition_id WHERE configurations.id = %s.configuration_id',
            'line_entries' => 'SELECT published_at FROM `lines` JOIN design_editions ON design_editions.id = `lines`.design_edition_id
                WHERE `lines`.id = %s.line_id',
            'line_entry_minima' => 'SELECT published_at FROM line_entries JOIN `lines` ON `lines`.id = line_entries.line_id
                JOIN design_editions ON design_editions.id = `lines`.design_edition_id WHERE line_entries.id = %s.line_entry_id',
        ];
        foreach ([
            'confirmed' => [$list, 'A confirmed edition never changes; make a new edition.'],
            'published' => [$design, 'A published edition of a design never changes; make the next one.'],
        ] as $kept => [$owners, $message]) {
            foreach ($owners as $table => $since) {
                foreach (['INSERT' => ['NEW'], 'UPDATE' => ['OLD', 'NEW'], 'DELETE' => ['OLD']] as $change => $rows) {
                    $is = implode(' OR ', array_map(static fn (string $row): string => '('.sprintf($since, $row).') IS NOT NULL', $rows));
                    $this->keep($table, "{$table}_{$kept}", $is, [$change], $message);
                }
            }
        }
    }

    /** @param  list<string>  $changes */
    private function keep(string $table, string $name, string $is, array $changes, string $message): void
    {
        foreach ($changes as $change) {
            DB::unprepared("CREATE TRIGGER {$name}_kept_".strtolower($change)." BEFORE {$change} ON `{$table}` FOR EACH ROW
                IF {$is} THEN SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = '{$message}'; END IF");
        }
    }
};
