<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A device that is lent says to which system, and counts there for as long as it is.
 *
 * Protects: only what is lent stands elsewhere; nothing is lent to the system it is from.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE pumps
                ADD COLUMN lent_to_id char(26) REFERENCES systems (id) ON DELETE SET NULL,
                ADD CHECK (lent_to_id IS NULL OR (state = 'lent' AND lent_to_id <> system_id));
            CREATE INDEX pumps_lent_to ON pumps (lent_to_id) WHERE lent_to_id IS NOT NULL;
            ALTER TABLE switchings ADD COLUMN to_system_id char(26) REFERENCES systems (id) ON DELETE SET NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE switchings DROP COLUMN to_system_id;
            ALTER TABLE pumps DROP COLUMN lent_to_id;
            SQL
            ,
        );
    }
};
