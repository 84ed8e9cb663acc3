const { configure } = require('@testing-library/react');

// A machine may stand still for a second: what is waited for is what is tested, not how fast it comes.
configure({ asyncUtilTimeout: 20_000 });
