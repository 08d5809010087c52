<?php

declare(strict_types=1);

use App\Ledger\Part;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    private const CONDITIONS = ['good', 'opened', 'damaged', 'soiled', 'failed'];

    private const VERDICTS = ['ready', 'ready_with_actions', 'limited', 'not_ready'];

    public function up(): void
    {
        $this->kits();
        $this->operations();
        $this->movements();
        $this->checks();
        $this->others();
        $this->projections();
        foreach (Part::keptTables() as $table) {
            foreach (['UPDATE', 'DELETE'] as $change) {
                DB::unprepared("CREATE TRIGGER {$table}_no_".strtolower($change)." BEFORE {$change} ON `{$table}` FOR EACH ROW
                    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'What was recorded in {$table} is never changed; record a correction.'");
            }
        }
    }

    private function kits(): void
    {
        Schema::create('kits', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->string('code', 20)->unique();
            $table->string('name', 120)->index();
            $table->fullText('name');
            // From here on a projection of the record, made anew by ledger:verify --rebuild (App\Ledger\KitFacts).
            $table->foreignUlid('design_edition_id')->constrained();
            $table->foreignUlid('configuration_id')->nullable()->constrained();
            // The kit that this one is a module in, and the slot that it sits in; a module without a slot is carried beside what the design has.
            $table->foreignUlid('parent_kit_id')->nullable()->constrained('kits');
            $table->foreignUlid('slot_id')->nullable()->constrained('pockets');
            $table->unique(['parent_kit_id', 'slot_id']);
            $table->foreignUlid('place_id')->constrained();
            // Who answers for it, and who does while they are away.
            $table->foreignUlid('responsible_id')->nullable()->constrained('users');
            $table->foreignUlid('deputy_id')->nullable()->constrained('users');
            $table->enum('scope', ['anyone', 'first_aider', 'trained', 'clinician'])->default('first_aider');
            $table->enum('seal', ['intact', 'broken', 'none'])->default('none');
            $table->string('seal_number', 40)->nullable();
            $table->date('seal_broken_on')->nullable();
            $table->string('seal_broken_reason', 200)->nullable();
            $table->date('used_on')->nullable();
            $table->date('last_full_on')->nullable();
            $table->date('last_quick_on')->nullable();
            // The check that disagrees with what is recorded, until a full check settles it.
            $table->unsignedBigInteger('disputed_by')->nullable();
            $table->date('retired_on')->nullable()->index();
            // The last operation of this kit, and the latest time at which one was done.
            $table->unsignedBigInteger('last_operation')->default(0);
            $table->dateTime('last_done_at')->nullable();
            $table->timestamps();
        });
        Schema::create('event_kits', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('event_id')->constrained();
            $table->foreignUlid('kit_id')->constrained();
            $table->unique(['kit_id', 'event_id']);
        });
    }

    private function operations(): void
    {
        Schema::create('operations', function (Blueprint $table): void {
            // Its place in the record, without a gap.
            $table->unsignedBigInteger('number')->primary();
            // A restore from a backup begins a new one.
            $table->unsignedInteger('epoch');
            $table->ulid('id')->unique();
            $table->string('kind', 20)->charset('ascii')->collation('ascii_bin')->index();
            $table->foreignUlid('user_id')->nullable()->constrained();
            $table->string('user_name', 120)->nullable();
            $table->foreignUlid('witness_id')->nullable()->constrained('users');
            // How far the record went that its doer had seen.
            $table->unsignedInteger('base_epoch')->nullable();
            $table->unsignedBigInteger('base_number')->nullable();
            // The doer's clock, corrected; the server's stands in received_at.
            $table->dateTime('begun_at');
            $table->dateTime('done_at');
            $table->dateTime('received_at');
            // When the doer's clock was last compared with the server's; null where that is not known.
            $table->dateTime('clock_checked_at')->nullable();
            $table->date('day');
            $table->string('signed', 120)->nullable();
            $table->string('note', 500)->nullable();
            $table->string('key_id', 16)->charset('ascii')->collation('ascii_bin');
            $table->char('hash', 64)->charset('ascii')->collation('ascii_bin');
        });
        Schema::create('operation_kits', function (Blueprint $table): void {
            $this->partOf($table);
            $table->foreignUlid('kit_id')->constrained();
            $table->string('code', 20);
            $table->string('name', 120);
            $table->string('place', 400);
            $table->index(['kit_id', 'operation_number']);
        });
        Schema::create('operation_stores', function (Blueprint $table): void {
            $this->partOf($table);
            $table->foreignUlid('store_id')->constrained();
            $table->string('name', 120);
            $table->index(['store_id', 'operation_number']);
        });
        Schema::create('ledger_head', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->unsignedInteger('epoch');
            $table->unsignedBigInteger('number');
            $table->char('hash', 64)->charset('ascii')->collation('ascii_bin');
        });
        DB::table('ledger_head')->insert(['id' => 1, 'epoch' => 1, 'number' => 0, 'hash' => str_repeat('0', 64)]);
    }

    private function movements(): void
    {
        // What lot, how many, from where, to where, why. No place means outside. Names as they read on the day.
        Schema::create('movements', function (Blueprint $table): void {
            $this->partOf($table);
            $this->lot($table);
            $table->unsignedInteger('quantity');
            foreach (['from', 'to'] as $end) {
                $table->foreignUlid("{$end}_kit_id")->nullable()->constrained('kits');
                $table->foreignUlid("{$end}_pocket_id")->nullable()->constrained('pockets');
                $table->string("{$end}_pocket", 60)->nullable();
                $table->foreignUlid("{$end}_store_id")->nullable()->constrained('stores');
                $table->enum("{$end}_condition", self::CONDITIONS)->nullable();
                $table->index(["{$end}_kit_id", 'operation_number']);
            }
            $table->enum('reason', ['received', 'restocked', 'counted', 'discarded', 'returned', 'transferred', 'used', 'lost']);
            $table->index(['lot_id', 'operation_number']);
        });
        DB::statement('ALTER TABLE movements ADD CONSTRAINT movements_some CHECK (quantity > 0)');
        DB::statement('ALTER TABLE movements ADD CONSTRAINT movements_from CHECK (from_condition IS NULL = (from_pocket_id IS NULL AND from_store_id IS NULL))');
        DB::statement('ALTER TABLE movements ADD CONSTRAINT movements_to CHECK (to_condition IS NULL = (to_pocket_id IS NULL AND to_store_id IS NULL))');
    }

    private function checks(): void
    {
        // A check as it was signed: what it was held to and what followed, on its day.
        Schema::create('checks', function (Blueprint $table): void {
            $this->partOf($table);
            $table->foreignUlid('kit_id')->constrained();
            // Whether it answers for the kit: a later look was recorded before it, or two cannot be put in order.
            $table->enum('standing', ['stands', 'superseded', 'disputed', 'history']);
            $table->string('design', 120);
            $table->string('list_title', 200);
            $table->string('list_edition', 60);
            $table->boolean('list_confirmed');
            $table->enum('expiry', ['strict', 'reserve']);
            $table->enum('scope', ['anyone', 'first_aider', 'trained', 'clinician']);
            $table->date('next_check');
            $table->unsignedSmallInteger('margin_days');
            $table->enum('verdict', self::VERDICTS);
            $table->unsignedInteger('mass_g');
            $table->unsignedInteger('max_mass_g')->nullable();
            $table->string('seal_found', 60)->nullable();
            $table->index(['kit_id', 'operation_number']);
        });
        Schema::create('check_rows', function (Blueprint $table): void {
            $this->partOf($table);
            // Of the kit that was checked, or of a module in it.
            $table->foreignUlid('kit_id')->constrained();
            $table->foreignUlid('pocket_id')->constrained();
            $table->string('pocket', 60);
            $this->lot($table);
            $table->enum('condition', self::CONDITIONS);
            // On record before it, as counted, and on record after it: other than counted where it arrived late.
            $table->unsignedInteger('recorded');
            $table->unsignedInteger('counted');
            $table->unsignedInteger('became');
            // Something was put in or taken out while it was counted: which came first is not known.
            $table->boolean('in_doubt');
        });
        Schema::create('check_lines', function (Blueprint $table): void {
            $this->partOf($table);
            $table->string('code', 60);
            $table->string('need', 160);
            $table->string('pocket', 60)->nullable();
            $table->enum('rank', ['critical', 'required', 'optional']);
            // Pieces, or a measure with its unit where the line asks for a total.
            $table->string('required', 40);
            $table->string('effective', 40);
            $table->unsignedInteger('reserve')->nullable();
            $table->string('short', 40);
        });
        // What was found, as facts: the words are said when it is read.
        Schema::create('check_findings', function (Blueprint $table): void {
            $this->partOf($table);
            $this->finding($table);
        });
    }

    /** One finding, as facts. */
    private function finding(Blueprint $table): void
    {
        $table->string('kind', 20);
        $table->enum('severity', ['stop', 'fix', 'note']);
        $table->string('line', 60)->nullable();
        // The line's need or the item's name.
        $table->string('subject', 160)->nullable();
        $table->string('item_code', 60)->nullable();
        $table->string('lot_number', 60)->nullable();
        $table->string('expires', 10)->nullable();
        $table->date('good_until')->nullable();
        $table->string('pocket', 60)->nullable();
        $table->unsignedInteger('quantity')->nullable();
        $table->string('detail', 300)->nullable();
    }

    private function others(): void
    {
        Schema::create('seals', function (Blueprint $table): void {
            $this->partOf($table);
            $table->foreignUlid('kit_id')->constrained();
            $table->enum('event', ['set', 'broken']);
            $table->string('seal_number', 40)->nullable();
            $table->string('reason', 200)->nullable();
            // The operation that set the seal which is broken: a seal is broken once.
            $table->unsignedBigInteger('set_by')->nullable();
            $table->unique(['kit_id', 'set_by']);
            $table->index(['kit_id', 'operation_number']);
        });
        DB::statement("ALTER TABLE seals ADD CONSTRAINT seals_broken_with_reason CHECK (event = 'set' OR reason IS NOT NULL)");
        Schema::create('kit_changes', function (Blueprint $table): void {
            $this->partOf($table);
            $table->foreignUlid('kit_id')->constrained();
            $table->enum('field', ['code', 'name', 'edition', 'configuration', 'place', 'scope', 'parent', 'slot', 'module', 'retired']);
            $table->string('was', 120)->nullable();
            $table->string('becomes', 120)->nullable();
            // As these read on the day.
            $table->string('was_name', 400)->nullable();
            $table->string('becomes_name', 400)->nullable();
            $table->index(['kit_id', 'operation_number']);
        });
        // Documents that verdicts rest on, as they were when somebody signed or confirmed them.
        Schema::create('attestations', function (Blueprint $table): void {
            $this->partOf($table);
            $table->enum('subject', ['assessment', 'edition']);
            $table->ulid('subject_id');
            $table->string('title', 200);
            $table->char('digest', 64)->charset('ascii')->collation('ascii_bin');
            $table->index(['subject', 'subject_id']);
        });
        // What arrived late and could not be recorded as it was sent. It stays until somebody settles it.
        Schema::create('unsettled', function (Blueprint $table): void {
            $table->id();
            $table->ulid('operation_id')->index();
            $table->unsignedBigInteger('operation_number')->nullable();
            $table->foreignUlid('kit_id')->constrained();
            $table->string('kind', 20);
            $table->enum('because', ['kit_retired', 'not_there', 'moved_while_counting', 'checks_disagree', 'no_such_pocket']);
            $table->string('subject', 200)->nullable();
            $table->string('lot_number', 60)->nullable();
            $table->string('pocket', 60)->nullable();
            $table->unsignedInteger('sent')->nullable();
            $table->unsignedInteger('recorded')->nullable();
            // All that was sent, where nothing of it could be recorded.
            $table->longText('body')->nullable();
            $table->foreignUlid('user_id')->constrained();
            $table->dateTime('done_at');
            $table->dateTime('received_at');
            $table->foreignUlid('settled_by_id')->nullable()->constrained('users');
            $table->dateTime('settled_at')->nullable();
            $table->string('settled_note', 300)->nullable();
            $table->index(['settled_at', 'kit_id']);
        });
    }

    private function projections(): void
    {
        // What lies where now: a projection of the record, made anew by ledger:verify --rebuild.
        Schema::create('holdings', function (Blueprint $table): void {
            $table->id();
            $table->string('whereabouts', 60)->charset('ascii')->collation('ascii_bin');
            $table->foreignUlid('kit_id')->nullable()->constrained();
            $table->foreignUlid('pocket_id')->nullable()->constrained();
            $table->foreignUlid('store_id')->nullable()->constrained();
            $table->foreignUlid('lot_id')->constrained();
            $table->enum('condition', self::CONDITIONS);
            $table->unsignedInteger('quantity');
            $table->unique(['whereabouts', 'lot_id', 'condition']);
        });

        // What the core said of each kit, and through which day that holds. Made anew by kits:judge.
        Schema::create('kit_states', function (Blueprint $table): void {
            $table->foreignUlid('kit_id')->primary()->constrained();
            // The kit's own, kept here too so that the worklist is sorted without a join.
            $table->string('code', 20);
            $table->unsignedInteger('walk_order');
            $table->enum('verdict', self::VERDICTS);
            $table->unsignedInteger('mass_g');
            $table->date('next_check');
            $table->date('due_on')->nullable();
            $table->enum('due_kind', ['full', 'quick'])->nullable();
            $table->string('due_because', 12)->nullable();
            // The first day on which the check is overdue.
            $table->date('overdue_from')->nullable()->index();
            // How pressing it is (the core's Band), most pressing first; 4 where there is nothing to do.
            $table->unsignedTinyInteger('band');
            $table->boolean('wants_restock');
            // The day that it was judged for, and the last on which nothing in it changes by the calendar alone.
            $table->date('judged_for')->index();
            $table->date('holds_through')->nullable()->index();
            // What it was judged under, and what it must have been judged under to be shown as present (App\Judging\JudgingVersion).
            $table->unsignedBigInteger('judged_version');
            $table->unsignedBigInteger('needs_version');
            // The kit's last operation that it knows of, and the last there is.
            $table->unsignedBigInteger('rests_on');
            $table->unsignedBigInteger('needs_operation');
            // No write clears it but a judging that saw all that it needs.
            $table->boolean('is_marked')->storedAs('needs_version > judged_version OR needs_operation > rests_on')->index();
            // Hold all that Today's counts look at, and the order of its worklist.
            $table->index('verdict');
            $table->index(['band', 'walk_order', 'code'], 'kit_states_work');
            // The orders of the lists of kits.
            $table->index(['walk_order', 'code'], 'kit_states_walk');
            $table->index(['due_on', 'walk_order', 'code'], 'kit_states_due');
            $table->index(['wants_restock', 'walk_order', 'code'], 'kit_states_restock');
            $table->index('code');
        });
        // How many states there are of each kind, as what is added and taken away: each write appends what it changes, so that nobody waits
        // for anybody, and the sums are put together now and then (App\Judging\StateCounts).
        Schema::create('state_counts', function (Blueprint $table): void {
            $table->id();
            $table->enum('verdict', self::VERDICTS);
            $table->unsignedTinyInteger('band');
            $table->date('overdue_from')->nullable();
            $table->integer('kits');
        });
        $count = static fn (string $row, string $kits): string => "INSERT INTO state_counts (verdict, band, overdue_from, kits)
            VALUES ({$row}.verdict, {$row}.band, {$row}.overdue_from, {$kits});";
        DB::unprepared('CREATE TRIGGER kit_states_counted_in AFTER INSERT ON kit_states FOR EACH ROW '.$count('NEW', '1'));
        DB::unprepared('CREATE TRIGGER kit_states_counted_out AFTER DELETE ON kit_states FOR EACH ROW '.$count('OLD', '-1'));
        DB::unprepared('CREATE TRIGGER kit_states_counted_again AFTER UPDATE ON kit_states FOR EACH ROW
            IF OLD.verdict <> NEW.verdict OR OLD.band <> NEW.band OR NOT OLD.overdue_from <=> NEW.overdue_from THEN
            '.$count('OLD', '-1').' '.$count('NEW', '1').' END IF');
        Schema::create('judging_version', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->unsignedBigInteger('version');
            // Of the code that the states were worked out by.
            $table->string('rules', 64)->charset('ascii')->collation('ascii_bin')->default('');
        });
        DB::table('judging_version')->insert(['id' => 1, 'version' => 1]);
        // A design with its list and items as the core takes them, as they were read under one version (App\Judging\KeptPlans).
        Schema::create('kept_plans', function (Blueprint $table): void {
            $table->string('plan', 400)->charset('ascii')->collation('ascii_bin')->primary();
            $table->unsignedBigInteger('version');
            $table->string('rules', 64)->charset('ascii')->collation('ascii_bin');
            $table->mediumText('body')->charset('binary');
            $table->char('seal', 64)->charset('ascii')->collation('ascii_bin');
        });

        // What was found when a kit was judged last, gravest first, as facts: the words are said when they are read.
        Schema::create('kit_findings', function (Blueprint $table): void {
            $table->foreignUlid('kit_id')->constrained();
            $table->unsignedSmallInteger('position');
            $this->finding($table);
            $table->primary(['kit_id', 'position']);
        });

        // The marks of the horizon: on which days something in a kit expires or a check falls due.
        Schema::create('kit_dates', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('kit_id')->constrained();
            $table->foreignUlid('place_id')->constrained();
            $table->date('day');
            $table->enum('kind', ['expiry', 'check']);
            // The item that expires, or which check is due and why.
            $table->string('item_code', 60)->nullable();
            $table->enum('due_kind', ['full', 'quick'])->nullable();
            $table->string('due_because', 12)->nullable();
            $table->index(['place_id', 'day']);
        });
    }

    /** A row that belongs to an operation and is covered by its hash. */
    private function partOf(Blueprint $table): void
    {
        $table->unsignedBigInteger('operation_number');
        $table->unsignedSmallInteger('position');
        $table->primary(['operation_number', 'position']);
        $table->foreign('operation_number')->references('number')->on('operations');
    }

    /** A lot, and how it read on that day. */
    private function lot(Blueprint $table): void
    {
        $table->foreignUlid('lot_id')->constrained();
        $table->string('item_code', 60);
        $table->string('item_name', 120);
        $table->string('lot_number', 60)->nullable();
        $table->string('expires', 10)->nullable();
    }
};
