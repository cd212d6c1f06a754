document.body.dataset.stub = '1';
