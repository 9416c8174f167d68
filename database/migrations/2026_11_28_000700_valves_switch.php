<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A valve is shut and opened as a pump is switched: with its time, person and reason.
 *
 * Protects: how far it stood open before comes back with it.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE switchings DROP CONSTRAINT switchings_thing_check;
            ALTER TABLE switchings ADD CONSTRAINT switchings_thing_check CHECK (thing IN ('pump', 'lamp', 'valve'));
            ALTER TABLE switchings ADD COLUMN was_pct double precision CHECK (was_pct BETWEEN 0 AND 100);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DELETE FROM switchings WHERE thing = 'valve';
            ALTER TABLE switchings DROP COLUMN was_pct;
            ALTER TABLE switchings DROP CONSTRAINT switchings_thing_check;
            ALTER TABLE switchings ADD CONSTRAINT switchings_thing_check CHECK (thing IN ('pump', 'lamp'));
            SQL
            ,
        );
    }
};
