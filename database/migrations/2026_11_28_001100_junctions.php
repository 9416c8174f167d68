<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Where lines meet: one pipe that collects several drains, one return that feeds several bays.
 *
 * Protects: a line begins at one place and ends at one or outside; nothing ends at another system's junction.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE junctions (
                id         char(26) PRIMARY KEY,
                site_id    char(26) NOT NULL,
                system_id  char(26) NOT NULL,
                name       varchar(60) NOT NULL CHECK (btrim(name) <> ''),
                position   integer NOT NULL DEFAULT 0,
                created_at timestamptz NOT NULL DEFAULT now(),
                updated_at timestamptz NOT NULL DEFAULT now(),
                UNIQUE (system_id, id),
                FOREIGN KEY (site_id, system_id) REFERENCES systems (site_id, id)
            );
            ALTER TABLE pumps ADD COLUMN above_mm double precision CHECK (above_mm BETWEEN 0 AND 8000);
            CREATE INDEX junctions_system ON junctions (system_id, position);
            ALTER TABLE lines
                ADD COLUMN from_junction_id char(26),
                ADD COLUMN to_junction_id   char(26),
                ADD FOREIGN KEY (system_id, from_junction_id) REFERENCES junctions (system_id, id),
                ADD FOREIGN KEY (system_id, to_junction_id)   REFERENCES junctions (system_id, id),
                DROP CONSTRAINT lines_check,
                DROP CONSTRAINT lines_check1,
                DROP CONSTRAINT lines_check5,
                ADD CONSTRAINT lines_from
                    CHECK (num_nonnulls(from_vessel_id, from_stage_id, from_pump_id, from_junction_id) = 1),
                ADD CONSTRAINT lines_to
                    CHECK (num_nonnulls(to_vessel_id, to_stage_id, to_pump_id, to_junction_id) <= 1),
                ADD CONSTRAINT lines_waste CHECK (leads_to IS NULL OR
                    num_nonnulls(to_vessel_id, to_stage_id, to_pump_id, to_junction_id) = 0),
                ADD CONSTRAINT lines_round CHECK (from_junction_id IS DISTINCT FROM to_junction_id
                    OR from_junction_id IS NULL);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            <<<'SQL'
            DELETE FROM lines WHERE from_junction_id IS NOT NULL OR to_junction_id IS NOT NULL;
            ALTER TABLE lines
                DROP CONSTRAINT lines_from,
                DROP CONSTRAINT lines_to,
                DROP CONSTRAINT lines_waste,
                DROP COLUMN from_junction_id,
                DROP COLUMN to_junction_id,
                ADD CONSTRAINT lines_check CHECK (num_nonnulls(from_vessel_id, from_stage_id, from_pump_id) = 1),
                ADD CONSTRAINT lines_check1 CHECK (num_nonnulls(to_vessel_id, to_stage_id, to_pump_id) <= 1),
                ADD CONSTRAINT lines_check5
                    CHECK (leads_to IS NULL OR num_nonnulls(to_vessel_id, to_stage_id, to_pump_id) = 0);
            DROP TABLE junctions;
            ALTER TABLE pumps DROP COLUMN above_mm;
            SQL
            ,
        );
    }
};
