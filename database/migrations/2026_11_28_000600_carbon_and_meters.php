<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Carbon that is fed to microbes stands in the plan of feed; a water meter is read, and tells what came in.
 *
 * Protects: a reading is written once.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE feed_figures
                ADD COLUMN carbon_g_d double precision CHECK (carbon_g_d BETWEEN 0 AND 100000);
            CREATE TABLE meter_readings (
                id           char(26) PRIMARY KEY,
                site_id      char(26) NOT NULL,
                system_id    char(26) NOT NULL,
                user_id      char(26) REFERENCES users (id),
                litres       double precision NOT NULL CHECK (litres BETWEEN 0 AND 1e12),
                read_at      timestamptz NOT NULL,
                withdrawn_at timestamptz,
                created_at   timestamptz NOT NULL DEFAULT now(),
                updated_at   timestamptz NOT NULL DEFAULT now(),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            CREATE INDEX meter_readings_system ON meter_readings (system_id, read_at DESC) WHERE withdrawn_at IS NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP TABLE meter_readings; ALTER TABLE feed_figures DROP COLUMN carbon_g_d');
    }
};
