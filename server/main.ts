console.log('server');
