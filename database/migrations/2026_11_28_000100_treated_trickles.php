<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * A trickle of water with chlorine says what takes it out; a charge knows what it took off the shelf, so that one that
 * never went in gives it back.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE trickles ADD COLUMN treated_by varchar(120);
            ALTER TABLE charges ADD COLUMN good_id char(26) REFERENCES goods (id) ON DELETE SET NULL;
            ALTER TABLE charges ADD COLUMN from_shelf double precision;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE trickles DROP COLUMN treated_by;
            ALTER TABLE charges DROP COLUMN good_id;
            ALTER TABLE charges DROP COLUMN from_shelf;
            SQL
            ,
        );
    }
};
