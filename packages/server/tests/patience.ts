// These tests start servers and databases: a busy machine may take its time, ms.
jest.setTimeout(60_000);
